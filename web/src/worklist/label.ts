/** Where the code on a label leads within this Mensor, whatever it was called when the label was printed; absent of any other code. */
export function wayOf(code: string): string | undefined {
  return /\/((?:welds|defects)\/[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})\/?$/i
    .exec(code.trim())?.[0]
    .replace(/\/$/, "");
}
