/** A number stays on one line with its fraction and its unit: "2 1/2 in" is read at one glance or misread. */
export function tied(text: string): string;
export function tied(text: string | undefined): string | undefined;
export function tied(text: string | undefined): string | undefined {
  return text
    ?.replace(/(\d) (?=\d+\/\d)/g, "$1\u00a0")
    .replace(/(\d) (?=(?:in|mm|°F|°C|°|h|min|A|V|lb|g)\b)/g, "$1\u00a0");
}
