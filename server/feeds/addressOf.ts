/** Where a feed is followed, for who set it up; a stand-in is nowhere that anybody could look. */
export const addressOf = ({
  host,
  port,
  simulated,
}: {
  host: string;
  port: number;
  simulated?: boolean | undefined;
}): { address?: string } => (simulated ? {} : { address: `${host}:${port}` });
