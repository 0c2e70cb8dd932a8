import { type Workshop } from '@lettura/contract';
import type { Content } from 'pdfmake/interfaces.js';

/** Name, address and picture, where the workshop has given any. */
export function headOf({ name, address, picture }: Workshop): Content[] {
  if (name === '' && address === '' && picture === undefined) return [];
  return [
    {
      columns: [
        ...(picture === undefined
          ? []
          : [{ image: picture, fit: [110, 60] as [number, number], width: 120 }]),
        {
          stack: [
            { text: name, bold: true, fontSize: 12 },
            { text: address, style: 'small' },
          ],
        },
      ],
      margin: [0, 0, 0, 16],
    },
  ];
}
