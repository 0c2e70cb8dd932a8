/** As a meter shows it; OL past its last range. */
export function ohmsInWords(ohms: number): string {
  if (!(ohms < 4e7)) return 'OL';
  if (ohms < 1000) return `${ohms.toFixed(1)} Ω`;
  return ohms < 1e6 ? `${(ohms / 1e3).toPrecision(3)} kΩ` : `${(ohms / 1e6).toPrecision(3)} MΩ`;
}
