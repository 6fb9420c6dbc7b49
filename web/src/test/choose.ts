import { fireEvent, screen } from "@testing-library/react";

/** Opens the list of this label and touches the word. */
export function choose(label: string, word: string) {
  const list = screen.getByLabelText(label);
  fireEvent.mouseDown(list.closest(".ant-select") ?? list);
  const options = [...document.querySelectorAll<HTMLElement>(".ant-select-item-option")];
  const option = options.reverse().find((o) => o.textContent === word);
  if (!option) throw new Error(`${label} does not offer ${word}, but ${options.map((o) => o.textContent).join(", ")}`);
  fireEvent.click(option);
}

/** What the list of this label shows as chosen. */
export function chosenOf(label: string): string {
  const list = screen.getByLabelText(label).closest(".ant-select");
  return list?.querySelector(".ant-select-content, .ant-select-selection-item")?.textContent ?? "";
}
