import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import { renderWith } from "../test/render";
import { SignedRecords } from "./SignedRecords";

it("says that the chain holds, and names the record that does not fit when it is checked again", async () => {
  let broken = false;
  const { sent } = renderWith(<SignedRecords job="j1" />, {
    GET: () => ({
      json: broken
        ? { records: 3, last: "ab", fault: "record 2, ST2-15: the record was changed after it was signed" }
        : { records: 3, last: "ab" },
    }),
  });
  await screen.findByText("✓ 3 records, the chain holds");
  broken = true;
  fireEvent.click(screen.getByText("Check again"));
  await screen.findByText(/✕ record 2, ST2-15/);
  await waitFor(() => expect(sent.every((s) => s.path === "/api/jobs/j1/chain/check")).toBe(true));
});

it("says so where nothing is signed", async () => {
  renderWith(<SignedRecords job="j1" />, { GET: () => ({ json: { records: 0 } }) });
  await screen.findByText("None is signed yet.");
});
