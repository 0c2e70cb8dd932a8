/** A share as it is shown: nothing is ever said to be certain, nor ruled out. */
export function shownPercent(share: number): string {
  const percent = Math.min(99, Math.round(share * 100));
  return `${percent < 1 ? '<1' : percent} %`;
}
