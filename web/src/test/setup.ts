import { describeKinds } from "../bench/kinds";
import type { KindView } from "../lib/api";
import kinds from "./kinds.json";
import { afterEach, vi } from "vitest";
import { cleanup, configure } from "@testing-library/react";

class NoResize {
  observe() {}
  unobserve() {}
  disconnect() {}
}
vi.stubGlobal("ResizeObserver", NoResize);
vi.stubGlobal("matchMedia", (query: string) => ({
  matches: query.includes("prefers-reduced-motion"),
  addListener() {},
  removeListener() {},
  addEventListener() {},
  removeEventListener() {},
}));
// what an element says of itself is enough here: jsdom goes through every rule of the widgets' sheets at each question
window.getComputedStyle = (element: Element) => (element as HTMLElement).style;
// a busy machine is slow, not wrong
configure({ asyncUtilTimeout: 20_000 });
afterEach(cleanup);

describeKinds(kinds as KindView[]);
