import { vi } from "vitest";

/** The browser's own store, which the tests' browser lacks: in memory. */
const kept = new Map<IDBValidKey, unknown>();
export const get = vi.fn((key: IDBValidKey) => Promise.resolve(kept.get(key)));
export const set = vi.fn((key: IDBValidKey, value: unknown) => Promise.resolve(void kept.set(key, value)));
export const del = vi.fn((key: IDBValidKey) => Promise.resolve(void kept.delete(key)));
