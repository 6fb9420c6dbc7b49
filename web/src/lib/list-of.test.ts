import { expect, it, vi } from "vitest";
import { listOf } from "./list-of";

it("reads a list as it stands, and has a spreadsheet's own file read by the server", async () => {
  const asked: string[] = [];
  vi.stubGlobal("fetch", (request: Request) => {
    asked.push(`${request.method} ${new URL(request.url).pathname}`);
    return Promise.resolve(Response.json({ list: "mark,length\r\nA,24\r\n" }));
  });
  expect(await listOf(new File(["mark\nB"], "welds.csv"))).toBe("mark\nB");
  expect(asked).toEqual([]);
  expect(await listOf(new File(["PK"], "Welds.XLSX"))).toContain("A,24");
  expect(asked).toEqual(["POST /api/tables"]);
});
