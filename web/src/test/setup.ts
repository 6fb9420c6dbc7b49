import { afterEach, vi } from "vitest";
import { cleanup } from "@testing-library/react";

class NoResize {
  observe() {}
  unobserve() {}
  disconnect() {}
}
vi.stubGlobal("ResizeObserver", NoResize);
vi.stubGlobal("matchMedia", () => ({ matches: false, addListener() {}, removeListener() {}, addEventListener() {}, removeEventListener() {} }));
afterEach(cleanup);
