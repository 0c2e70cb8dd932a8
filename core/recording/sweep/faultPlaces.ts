/** Two passes this near each other, as a share of the sensor's range, went over the same place. */
const SAME_PLACE_SHARE = 0.05;
/** Further apart than this they did not. */
const APART_SHARE = 0.12;

/**
 * What the places of a fault tell: a track is worn where it is worn, a contact or a wire does not know where the sensor stands.
 *
 * @param places in the sensor's unit, one for each time that it was seen
 */
export function faultPlaces(
  places: readonly number[],
  { lowest, highest }: { lowest: number; highest: number },
): 'once' | 'same-place' | 'scattered' | 'unclear' {
  if (places.length < 2) return 'once';
  const spread =
    (places.reduce((a, b) => Math.max(a, b)) - places.reduce((a, b) => Math.min(a, b))) / (highest - lowest);
  return spread <= SAME_PLACE_SHARE ? 'same-place' : spread >= APART_SHARE ? 'scattered' : 'unclear';
}
