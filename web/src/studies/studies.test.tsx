import { describe, expect, it } from "vitest";
import { render, screen } from "@testing-library/react";
import type { Agreement, Kappa } from "../lib/api-study";
import { AgreementCard } from "./AgreementCard";
import { numberOf, percentOf } from "./words";

const kappa = (value: number | undefined): Kappa => ({
  value,
  low: value === undefined ? undefined : value - 0.2,
  high: value === undefined ? undefined : Math.min(1, value + 0.2),
  observed: 0.8,
  words: value === undefined ? "cannot be told: all answers are the same" : "moderate",
});

const agreement: Agreement = {
  people: ["Ines", "Tomas"],
  welds: 10,
  passes: 2,
  over: true,
  done: [20, 20],
  first: ["Crack: agreement 0.50 (moderate); inspect weld 4 together"],
  questions: [
    {
      question: "Verdict",
      among: kappa(0.5),
      withSelf: [{ person: "Ines", kappa: kappa(0.7) }],
      pairs: [{ one: "Ines", other: "Tomas", kappa: kappa(0.5) }],
      leans: [
        {
          person: "Ines",
          falseAccepts: 1,
          ofBad: 12,
          acceptLow: 0.015,
          acceptHigh: 0.354,
          falseRejects: 0,
          ofGood: 0,
          rejectLow: 0,
          rejectHigh: 1,
        },
        {
          person: "Tomas",
          falseAccepts: 0,
          ofBad: 12,
          acceptLow: 0,
          acceptHigh: 0.24,
          falseRejects: 2,
          ofGood: 8,
          rejectLow: 0.07,
          rejectHigh: 0.59,
        },
      ],
      divided: [4, 7],
    },
    { question: "Crater", among: kappa(undefined), withSelf: [], pairs: [], leans: [], divided: [] },
  ],
};

describe("an agreement study", () => {
  it("says what is agreed on, who leans which way, and what to talk about first", () => {
    render(<AgreementCard said="On the verdict 2 people agree." agreement={agreement} />);
    expect(screen.getByText("Crack: agreement 0.50 (moderate); inspect weld 4 together")).toBeTruthy();
    expect(screen.getAllByText("0.50 (0.30 to 0.70), moderate").length).toBe(2);
    expect(screen.getByText("0.70 (0.50 to 0.90), moderate")).toBeTruthy();
    expect(screen.getByText("seen once")).toBeTruthy(); // Tomas has no second pass
    expect(screen.getByText("1 of 12 (2 % to 35 %)")).toBeTruthy();
    expect(screen.getByText("none was good")).toBeTruthy();
    expect(screen.getByText("all the same")).toBeTruthy();
    expect(screen.getByText("4, 7")).toBeTruthy();
  });

  it("says only how far people are before all have handed in", () => {
    render(
      <AgreementCard
        said="Under way."
        agreement={{ ...agreement, over: false, done: [3, 20], questions: [], first: [] }}
      />,
    );
    expect(screen.getByText("3 of 20")).toBeTruthy();
    expect(screen.getByText("20 of 20")).toBeTruthy();
    expect(screen.queryByText("By criterion")).toBeNull();
  });
});

describe("numbers of a study", () => {
  it("are as fine as they are small", () => {
    expect(numberOf(0.0018)).toBe("0.0018");
    expect(numberOf(0.302)).toBe("0.302");
    expect(numberOf(0)).toBe("0.000");
    expect(percentOf(27.94)).toBe("27.9 %");
  });
});
