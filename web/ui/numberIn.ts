/** A number of a form, decimal comma or point; NaN where it is none, which no check lets through. */
export const numberIn = (text: string): number => {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  return /^-?\d{1,9}(\.\d{0,15})?(e-?\d{1,2})?$/iu.test(plain) ? Number(plain) : NaN;
};
