import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { WithPapers } from "../lib/api";
import { renderWith } from "../test/render";
import { AccountCard } from "./AccountCard";
import OwnPassword from "./OwnPassword";

const tomas: WithPapers = {
  person: { id: "p2", login: "tomas", name: "Tomas Reed", roles: ["INSPECTOR"] },
  papers: { version: 3 },
  active: true,
};

it("gives a new password, lets try again, signs out everywhere", async () => {
  const { sent } = renderWith(<AccountCard of={tomas} />, {
    "PUT /api/people/p2/password": () => ({ json: {} }),
    "POST /api/people/p2/unlock": () => ({ json: {} }),
    "DELETE /api/people/p2/sessions": () => ({ json: {} }),
  });
  fireEvent.change(screen.getByLabelText("New password, 10 characters or more"), {
    target: { value: "three words more" },
  });
  fireEvent.click(screen.getByText("Give the new password"));
  fireEvent.click(screen.getByText("Let try again"));
  fireEvent.click(screen.getByText("Sign out everywhere"));
  await waitFor(() => expect(sent).toHaveLength(3));
  expect(sent.find((s) => s.method === "PUT")?.body).toEqual({ password: "three words more" });
});

it("asks before somebody leaves, and offers to come back", async () => {
  const { sent, unmount } = renderWith(<AccountCard of={tomas} />, {
    "PUT /api/people/p2/active": () => ({ json: { ...tomas, active: false } }),
  });
  fireEvent.click(screen.getByText("Leaves …"));
  expect(sent).toHaveLength(0);
  fireEvent.click(await screen.findByText("Leaves", { selector: ".ant-popconfirm button span" }));
  await waitFor(() => expect(sent[0]?.body).toEqual({ active: false, version: 3 }));
  unmount();
  renderWith(<AccountCard of={{ ...tomas, active: false }} />, {});
  expect(screen.getByText("Comes back")).toBeTruthy();
  expect(screen.queryByText("Let try again")).toBeNull();
});

it("changes one's own password, and says at the field what is wrong", async () => {
  const close = vi.fn();
  let right = false;
  renderWith(<OwnPassword onClose={close} />, {
    "PUT /api/session/password": () =>
      right
        ? { json: { empty: false, codeWanted: false, signIns: [] } }
        : {
            status: 422,
            json: {
              detail: "now: this is not your password",
              errors: [{ field: "now", problem: "this is not your password" }],
            },
          },
  });
  fireEvent.change(screen.getByLabelText("Password now"), { target: { value: "wrong" } });
  fireEvent.change(screen.getByLabelText("Next password, 10 characters or more"), {
    target: { value: "three words more" },
  });
  fireEvent.click(screen.getByText("Change it"));
  expect(await screen.findByText("this is not your password")).toBeTruthy();
  right = true;
  fireEvent.click(screen.getByText("Change it"));
  await waitFor(() => expect(close).toHaveBeenCalled());
});
