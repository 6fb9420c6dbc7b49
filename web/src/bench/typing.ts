/** No hand types this fast: keys nearer to each other than this, ms, come from a gauge. */
const fastest = 50;

/** Tells a gauge that types as a keyboard from a hand, by the time between its keys. */
export class Typing {
  private last = 0;
  private run = 0;

  /** A key went down. Whether an Enter or Tab ends a gauge's reading is answered with it. */
  key(key: string, at: number): boolean {
    const fast = at - this.last <= fastest;
    this.last = at;
    if (key.length === 1) {
      this.run = fast ? this.run + 1 : 1;
      return false;
    }
    const gauge = (key === "Enter" || key === "Tab") && fast && this.run >= 2;
    if (key !== "Shift") this.run = 0;
    return gauge;
  }
}

/** What a gauge sends, as a reading is typed: without the sign and the spaces that some put before it. */
export function reading(text: string): string {
  return text.trim().replace(/^\+/, "").trim();
}

/** Types into a field as a gauge does: its keys at once, Enter at the end. */
export function typeLikeAGauge(input: HTMLInputElement, text: string) {
  // around React's own, or it would not notice
  const own = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value");
  const write = (value: string) => own?.set?.call(input, value);
  write("");
  for (const c of text) {
    input.dispatchEvent(new KeyboardEvent("keydown", { key: c, bubbles: true, cancelable: true }));
    write(input.value + c);
    input.dispatchEvent(new Event("input", { bubbles: true }));
  }
  input.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true, cancelable: true }));
}
