import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import { renderWith } from "../test/render";
import Tokens from "./Tokens";

const token = {
  id: "t1",
  person: "Ines Marl",
  name: "night script",
  scopes: ["READ"],
  madeAt: "2026-05-09T07:05:00Z",
  endsOn: "2026-08-07",
  holds: true,
};

it("makes a token, shows it once, and says what is wrong at its field", async () => {
  let named = false;
  const { sent } = renderWith(<Tokens onClose={() => undefined} />, {
    "GET /api/tokens": () => ({ json: named ? [token] : [] }),
    "POST /api/tokens": (body) => {
      named = (body as { name: string }).name !== "";
      return named
        ? { json: { token: "mensor_abc", its: token } }
        : { status: 422, json: { detail: "name", errors: [{ field: "name", problem: "what the token is for" }] } };
    },
  });
  fireEvent.click(await screen.findByText("Make it"));
  await screen.findByText("what the token is for");
  fireEvent.change(screen.getByLabelText("What it is for"), { target: { value: "night script" } });
  fireEvent.click(screen.getByText("Make it"));
  await screen.findByText("mensor_abc");
  await screen.findByText("Aug 7, 2026");
  await waitFor(() =>
    expect(sent.filter((s) => s.method === "POST").at(-1)?.body).toEqual({
      name: "night script",
      scopes: ["READ"],
      days: 90,
    }),
  );
});
