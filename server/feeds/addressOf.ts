/** Behind a socket. */
export interface SocketPlace {
  host: string;
  port: number;
}
/** On a serial line of this computer, by the path of its device. */
export interface DevicePlace {
  device: string;
}

/** Where a feed is followed, for who set it up; a stand-in is nowhere that anybody could look. */
export const addressOf = (
  place: (SocketPlace | DevicePlace) & { simulated?: boolean | undefined },
): { address?: string } =>
  place.simulated ? {} : { address: 'device' in place ? place.device : `${place.host}:${place.port}` };
