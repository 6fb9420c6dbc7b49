import { expect, it } from "vitest";
import { wayOf } from "./label";

const id = "4f2b081e-a80f-4656-b21d-4b19dc5a6b0d";

it("leads to the weld or the repair within this Mensor, by whatever address the label was printed", () => {
  expect(wayOf(`https://old-name.example:8080/welds/${id}`)).toBe(`/welds/${id}`);
  expect(wayOf(` http://localhost/defects/${id}/ `)).toBe(`/defects/${id}`);
});

it.each([
  "https://elsewhere.example/",
  "4006381333931",
  `https://x.example/people/${id}`,
  `https://x.example/welds/${id}/more`,
  "",
])("is no label: %s", (code) => {
  expect(wayOf(code)).toBeUndefined();
});
