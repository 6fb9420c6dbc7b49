import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Session } from "../lib/api";
import { renderWith } from "../test/render";
import { SignIn } from "./SignIn";

const nobody: Session = { empty: false, codeWanted: false, signIns: [] };
const ines: Session = {
  empty: false,
  codeWanted: false,
  signIns: [],
  person: { id: "p", login: "ines", name: "Ines Marl", roles: ["INSPECTOR"] },
};

it("signs in, and says in the server's words why not", async () => {
  let right = false;
  const done = vi.fn();
  renderWith(<SignIn session={nobody} onSignedIn={done} />, {
    "POST /api/session": () =>
      right ? { json: ines } : { status: 429, json: { detail: "too many wrong passwords; try again in 4 s" } },
  });
  fireEvent.change(screen.getByLabelText("Login"), { target: { value: "ines" } });
  fireEvent.change(screen.getByLabelText("Password"), { target: { value: "x" } });
  fireEvent.click(screen.getByText("Sign in", { selector: "button span" }));
  await screen.findByText("too many wrong passwords; try again in 4 s");
  right = true;
  fireEvent.click(screen.getByText("Sign in", { selector: "button span" }));
  await waitFor(() => expect(done).toHaveBeenCalledWith(ines));
});

it("shows the demo's sign-ins only in the demo", () => {
  const { unmount } = renderWith(<SignIn session={nobody} onSignedIn={vi.fn()} />, {});
  expect(screen.queryByText(/One touch signs in/)).toBeNull();
  unmount();
  const demo: Session = {
    empty: false,
    codeWanted: false,
    signIns: [{ login: "rufus", name: "Rufus Dane", roles: ["REPAIR_LEAD"], password: "pw" }],
  };
  renderWith(<SignIn session={demo} onSignedIn={vi.fn()} />, {});
  expect(screen.getByText("Rufus Dane")).toBeTruthy();
});

it("asks the first visitor of an empty Mensor to make the quality manager", async () => {
  const done = vi.fn();
  const { sent } = renderWith(<SignIn session={{ empty: true, codeWanted: false, signIns: [] }} onSignedIn={done} />, {
    "POST /api/people/first": () => ({ json: ines }),
  });
  fireEvent.change(screen.getByLabelText("Your name"), { target: { value: "Q. Stone" } });
  fireEvent.change(screen.getByLabelText("Login"), { target: { value: "stone" } });
  fireEvent.change(screen.getByLabelText("Password, 10 characters or more"), { target: { value: "long-enough-1" } });
  fireEvent.click(screen.getByLabelText("inspector"));
  fireEvent.click(screen.getByText("Make and sign in"));
  await waitFor(() => expect(done).toHaveBeenCalled());
  expect(sent[0]?.body).toEqual({ login: "stone", name: "Q. Stone", roles: ["INSPECTOR"], password: "long-enough-1" });
});

it("asks the first visitor for the printed code where the network can reach Mensor", async () => {
  const { sent } = renderWith(
    <SignIn session={{ empty: true, codeWanted: true, signIns: [] }} onSignedIn={vi.fn()} />,
    {
      "POST /api/people/first": () => ({ status: 422, json: { detail: "code: is printed where Mensor was started" } }),
    },
  );
  fireEvent.change(screen.getByLabelText("Code that was printed where Mensor was started"), {
    target: { value: "ABCD234567" },
  });
  fireEvent.click(screen.getByText("Make and sign in"));
  await screen.findByText(/is printed where Mensor was started/);
  expect(sent[0]?.body).toMatchObject({ code: "ABCD234567" });
});
