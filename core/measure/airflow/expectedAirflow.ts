/** Specific gas constant of dry air: US Standard Atmosphere, 1976 (8314.32 / 28.9644 J/(kg·K)). */
const AIR_J_PER_KG_K = 8314.32 / 28.9644;

export interface AirflowInputs {
  displacementLitres: number;
  revsPerMinute: number;
  /** Manifold absolute pressure. */
  pressureKpaAbs: number;
  /** Of the air in the manifold. */
  temperatureKelvin: number;
  /** Volumetric efficiency, 0..1 and a little above with tuned intakes. */
  volumetricEfficiency: number;
}

/**
 * Mass flow of a four-stroke engine by speed and density: VE · Vd · (n / 120) · p / (R · T), one filling of the
 * displacement every two turns. Grams per second.
 */
export function expectedAirflowGramsPerSecond(given: AirflowInputs): number {
  const { displacementLitres, revsPerMinute, pressureKpaAbs, temperatureKelvin, volumetricEfficiency } =
    given;
  const litresPerSecond = volumetricEfficiency * displacementLitres * (revsPerMinute / 120);
  // kPa · L = J, and J / (J/kg) = kg
  return (1000 * litresPerSecond * pressureKpaAbs) / (AIR_J_PER_KG_K * temperatureKelvin);
}

/** Common practice: at warm idle an engine takes its litres in grams per second, or a little more. */
export const idleRuleGramsPerSecond = (displacementLitres: number): { lowest: number; highest: number } => ({
  lowest: displacementLitres,
  highest: displacementLitres * 1.5,
});

/**
 * What engines take at idle that the rule does not speak of: by speed and density, from a throttled one with 27 kPa in its manifold
 * at 600 rpm that fills to little more than a half, to one without a throttle (a diesel) at 850 rpm.
 */
export const idleExtremesGramsPerSecond = (
  displacementLitres: number,
): { lowest: number; highest: number } => ({
  lowest: displacementLitres * 0.8,
  highest: displacementLitres * 7,
});

/** The same air as a volume: litres a second at the pressure and temperature stated. */
export const volumeFlowLitresPerSecond = (
  gramsPerSecond: number,
  { pressureKpaAbs, temperatureKelvin }: Pick<AirflowInputs, 'pressureKpaAbs' | 'temperatureKelvin'>,
): number => (gramsPerSecond * AIR_J_PER_KG_K * temperatureKelvin) / (1000 * pressureKpaAbs);
