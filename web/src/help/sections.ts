/** Which part of the handbook speaks of the page one is at; by the first pattern that fits. */
const places: [RegExp, string][] = [
  [/^\/joints\/(new|[^/]+)$/, "Setting up a joint"],
  [/\/(welding-record|plan)$/, "Fit-up and passes"],
  [/\/history$/, "Reports and history"],
  [/\/note$/, "Causes"],
  [/\/sheet$/, "Worklist"],
  [/^\/inspections\//, "The bench"],
  [/^\/(repairs|defects)/, "Repairs"],
  [/^\/(jobs|procedures|gauges)/, "Jobs, procedures and gauges"],
  [/^\/criteria/, "Acceptance criteria"],
  [/^\/reject-rates/, "Reports and history"],
  [/^\/people/, "Signing in and roles"],
  [/^\/(worklist)?$/, "Worklist"],
];

export function sectionFor(path: string): string {
  return places.find(([pattern]) => pattern.test(path))?.[1] ?? "The order of work";
}

export type Section = { title: string; text: string };

/** The handbook's parts, by their second-level headings; what stands before the first is left out. */
export function sectionsOf(handbook: string): Section[] {
  return handbook
    .split(/^## /m)
    .slice(1)
    .map((part) => {
      const end = part.indexOf("\n");
      return { title: part.slice(0, end).trim(), text: part.slice(end + 1).trim() };
    });
}

/** The parts in which every word stands. */
export function found(sections: Section[], words: string): Section[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return sections.filter((s) => {
    const all = `${s.title} ${s.text}`.toLowerCase();
    return wanted.every((w) => all.includes(w));
  });
}
