import palette from "./palette.json";

/** The colours of screen and paper, by name, in the light and in the dark. The report prints with those of the light. */
export { palette };

/** The same as variables of the page, for the style sheets and the drawings. */
export function layOutColours(): void {
  const variables = (theme: keyof typeof palette) =>
    `color-scheme: ${theme}; ${Object.entries(palette[theme])
      .map(([name, colour]) => `--${name}: ${colour};`)
      .join(" ")}`;
  const sheet = document.createElement("style");
  sheet.textContent = `:root { ${variables("light")} } :root[data-theme="dark"] { ${variables("dark")} }`;
  document.head.prepend(sheet);
}
