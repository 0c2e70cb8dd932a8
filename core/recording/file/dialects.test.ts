import { expect, test } from 'vitest';
import { layoutOf } from './index.ts';

const layout = (text: string, delimiter: string) => {
  const read = layoutOf(
    text.split('\n').map((line) => line.split(delimiter)),
    delimiter,
  );
  if (!read.ok) throw new Error(read.problem.code);
  return read.value;
};

test.each([
  ['time_ms,sig_V', ',', 'ms', ['time', 'sig'], ['ms', 'V']],
  ['t_s;ref_mV', ';', 's', ['t', 'ref'], ['s', 'mV']],
  ['Elapsed (s),Pressure (psi)', ',', 's', ['Elapsed', 'Pressure'], ['s', 'psi']],
  ['Time/us,pressure/kPa', ',', 'µs', ['Time', 'pressure'], ['us', 'kPa']],
  ['Time,A\n(ms),(V)', ',', 'ms', ['Time', 'A'], ['ms', 'V']],
  ['Second,Volt\ns,V', ',', 's', ['Second', 'Volt'], ['s', 'V']],
  ['Time,Pump,Odd\ns,kPa,quux', ',', 's', ['Time', 'Pump', 'Odd'], ['s', 'kPa', 'quux']],
  ['time\tOut_3', '\t', 's', ['time', 'Out_3'], ['', '']],
] as const)('the heading “%s” is read', (heading, delimiter, timeForm, names, units) => {
  const body = [0, 1, 2].map((i) => names.map((_, c) => String(i + c)).join(delimiter)).join('\n');
  const { columns, timeColumn, timeForm: form, headerRows } = layout(`${heading}\n${body}`, delimiter);
  expect(timeColumn).toBe(0);
  expect(form).toBe(timeForm);
  expect(columns.map(({ name }) => name)).toEqual(names);
  expect(columns.map(({ unit }) => unit)).toEqual(units);
  expect(headerRows).toBe(heading.split('\n').length);
});

test('remarks with numbers in them, and a line of settings above the names, are no samples', () => {
  const { columns, headerRows } = layout(
    '# 1, 2\n# gain, 4\n12,250\nTime (s),Sig (V)\n0,1.0\n0.1,1.1\n0.2,1.2',
    ',',
  );
  expect(columns.map(({ name }) => name)).toEqual(['Time', 'Sig']);
  expect(headerRows).toBe(4);
});
