/** A classical CAN frame: an identifier of eleven or twenty-nine bits, and up to eight bytes. */
export interface CanFrame {
  id: number;
  isExtended: boolean;
  bytes: readonly number[];
}

const hex = (value: number, digits: number): string => value.toString(16).toUpperCase().padStart(digits, '0');

/** As an adapter for a serial line takes it (the text that Linux's `slcan` driver speaks), without its carriage return. */
export const toSerialText = ({ id, isExtended, bytes }: CanFrame): string =>
  `${isExtended ? `T${hex(id, 8)}` : `t${hex(id, 3)}`}${bytes.length}${bytes.map((byte) => hex(byte, 2)).join('')}`;

const TEXT = /^(?:t([0-9a-fA-F]{3})|T([0-9a-fA-F]{8}))([0-8])([0-9a-fA-F]*)$/u;
/** More bits an identifier does not have. */
const HIGHEST_ID = 0x1fff_ffff;
/** An adapter may write its clock behind a frame. */
const CLOCK_DIGITS = 4;

/** A frame that came from such an adapter; undefined for whatever else it said. */
export function fromSerialText(text: string): CanFrame | undefined {
  const [, standard, extended, count, rest = ''] = TEXT.exec(text) ?? [];
  const id = Number.parseInt(standard ?? extended ?? '', 16);
  const digits = rest.slice(0, 2 * Number(count));
  const clock = rest.length - 2 * Number(count);
  if (!(id <= HIGHEST_ID) || (clock !== 0 && clock !== CLOCK_DIGITS)) return undefined;
  return {
    id,
    isExtended: extended !== undefined,
    bytes: (digits.match(/../gu) ?? []).map((byte) => Number.parseInt(byte, 16)),
  };
}
