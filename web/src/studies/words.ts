/** A number of a study, as fine as it is small. */
export function numberOf(v: number): string {
  const size = Math.abs(v);
  return v.toFixed(size !== 0 && size < 0.1 ? 4 : 3);
}

export const percentOf = (v: number) => `${v.toFixed(1)} %`;
