import { Tour, type TourProps } from "antd";

const at = (selector: string) => () => document.querySelector<HTMLElement>(selector) as HTMLElement;

/** The bench in the order of work, a stop each: what it shows, and what one does there. */
const stops: NonNullable<TourProps["steps"]> = [
  {
    title: "The verdict, and what is still to do",
    description:
      "It is judged anew at each entry. Below it stands what the criteria still want: touch none seen where you inspected and found nothing.",
    target: at(".tower"),
    placement: "right",
  },
  {
    title: "The weld along its length",
    description:
      "A lane for each toe, the face and the size. Touch a place: the cursor goes there; " +
      "draw a stretch on a lane to record what runs along it. Arrows move the cursor, + and − zoom.",
    target: at(".bench > .strip"),
    placement: "bottom",
  },
  {
    title: "The cross-section at the cursor",
    description:
      "Legs, throat and convexity as they were read at the nearest station; dashed is what the drawing asks.",
    target: at('[aria-label="Cross-section"]'),
    placement: "right",
  },
  {
    title: "What the code says",
    description:
      "A line for each criterion, worst first, with its limit and how much of it is used. Open one for the arithmetic, the clause and the likely causes.",
    target: at(".lower > :last-child"),
    placement: "left",
  },
  {
    title: "The entry line",
    description:
      "Type what you see as you would say it: uc a 12-14 1/32, legs 6 1/4 5/16. The line shows how it is understood before Enter records it.",
    target: at('[aria-label="Entry line"]'),
    placement: "top",
  },
  {
    title: "Or by hand and gauge",
    description:
      "Pick what was seen or read; fill in what the gauge shows. The underlined letter does it from the keyboard. " +
      "What is next to inspect is offered beside it.",
    target: at('[aria-label="What was seen or read"]'),
    placement: "top",
  },
  {
    title: "Sign",
    description:
      "When nothing is left to do, the inspection is signed as it was judged. From then on it is shown as it was signed; a change is a new revision.",
    target: at(".tower .acts"),
    placement: "right",
  },
];

/** The tour of the bench: begun from the help or after the first joint, left at any stop. */
export default function BenchTour({ onLeave }: { onLeave: () => void }) {
  const here = stops.filter((s) => typeof s.target === "function" && s.target());
  return (
    <Tour open steps={here} onClose={onLeave} onFinish={onLeave} indicatorsRender={(n, all) => `${n + 1} of ${all}`} />
  );
}
