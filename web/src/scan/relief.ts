import type { Surface } from "../lib/api-scan";

/** A surface as points in space, mm: along the weld, across, and out of the metal; and the height of each over the members. */
export type Relief = {
  rows: number;
  across: number;
  points: Float32Array;
  heights: Float32Array;
  /** What is seen there, where it is known: 0 plate, 1 weld, 2 heat tint, 3 dark. */
  tones?: Float32Array;
};

/**
 * The grid as points in space. Of a fillet the corner is turned so that it lies open to the eye; what stands over the members or lies under them is drawn
 * deeper by a factor, out of the corner.
 */
export function reliefOf({ rows, across, values, toned }: Surface, fillet: boolean, deeper: number): Relief {
  const per = toned ? 4 : 3;
  const points = new Float32Array(rows * across * 3);
  const heights = new Float32Array(rows * across);
  const tones = new Float32Array(toned ? rows * across : 0);
  const turn = fillet ? Math.PI / 4 : 0;
  const cos = Math.cos(turn);
  const sin = Math.sin(turn);
  for (let r = 0; r < rows; r++) {
    const at = r * (1 + per * across);
    const s = values[at] ?? 0;
    for (let i = 0; i < across; i++) {
      const x = values[at + 1 + per * i] ?? 0;
      const y = values[at + 2 + per * i] ?? 0;
      const h = values[at + 3 + per * i] ?? 0;
      const k = r * across + i;
      points[3 * k] = s;
      points[3 * k + 1] = x * cos - y * sin;
      points[3 * k + 2] = x * sin + y * cos + (deeper - 1) * h;
      heights[k] = h;
      if (toned) tones[k] = values[at + 4 + per * i] ?? 0;
    }
  }
  return toned ? { rows, across, points, heights, tones } : { rows, across, points, heights };
}

/** The normal of each point, out of the metal. */
export function normalsOf({ rows, across, points }: Relief): Float32Array {
  const normals = new Float32Array(points.length);
  const p = (r: number, i: number, axis: number) =>
    points[3 * (Math.min(rows - 1, Math.max(0, r)) * across + Math.min(across - 1, Math.max(0, i))) + axis] ?? 0;
  for (let r = 0; r < rows; r++) {
    for (let i = 0; i < across; i++) {
      const ax = p(r + 1, i, 0) - p(r - 1, i, 0);
      const ay = p(r + 1, i, 1) - p(r - 1, i, 1);
      const az = p(r + 1, i, 2) - p(r - 1, i, 2);
      const bx = p(r, i + 1, 0) - p(r, i - 1, 0);
      const by = p(r, i + 1, 1) - p(r, i - 1, 1);
      const bz = p(r, i + 1, 2) - p(r, i - 1, 2);
      let nx = ay * bz - az * by;
      let ny = az * bx - ax * bz;
      let nz = ax * by - ay * bx;
      const length = Math.hypot(nx, ny, nz) || 1;
      const out = nz < 0 ? -1 : 1;
      nx /= out * length;
      ny /= out * length;
      nz /= out * length;
      const k = 3 * (r * across + i);
      normals[k] = nx;
      normals[k + 1] = ny;
      normals[k + 2] = nz;
    }
  }
  return normals;
}

/** As a weld looks: gray plate, brighter ripples, straw and blue beside them, dark slag and holes. */
const tints: [number, number, number][] = [
  [0.5, 0.51, 0.53],
  [0.68, 0.69, 0.7],
  [0.5, 0.46, 0.44],
  [0.16, 0.15, 0.14],
];

/** Gray as steel, by what is seen there, or by the height: blue under the members' lines, amber over them. */
export function coloursOf({ heights, tones }: Relief, byHeight: boolean): Float32Array {
  const colours = new Float32Array(heights.length * 3);
  heights.forEach((h, k) => {
    let c: number[] = tones ? (tints[tones[k] ?? 0] ?? []) : [0.66, 0.68, 0.7];
    if (byHeight) {
      const under = Math.min(1, Math.max(0, -h / 1.0));
      const over = Math.min(1, Math.max(0, h / 6));
      c =
        under > 0.05
          ? [0.35 - 0.3 * under, 0.5 - 0.25 * under, 0.75 + 0.25 * under]
          : [0.62 + 0.38 * over, 0.64 + 0.08 * over, 0.66 - 0.5 * over];
    }
    colours.set(c, 3 * k);
  });
  return colours;
}

/** Where a lamp stands that is held by a hand: around the middle of the view, low over the surface. */
export type Lamp = { around: number; up: number };

export function towards({ around, up }: Lamp): [number, number, number] {
  return [Math.cos(around) * Math.cos(up), Math.sin(around) * Math.cos(up), Math.sin(up)];
}

/** A shaded picture of the grid, for a tablet without a graphics card: a pixel a point. */
export function shaded(relief: Relief, lamp: Lamp, byHeight: boolean): Uint8ClampedArray<ArrayBuffer> {
  const { rows, across } = relief;
  const normals = normalsOf(relief);
  const colours = coloursOf(relief, byHeight);
  const [lx, ly, lz] = towards(lamp);
  const pixels = new Uint8ClampedArray(rows * across * 4);
  for (let r = 0; r < rows; r++) {
    for (let i = 0; i < across; i++) {
      const k = r * across + i;
      const n = 3 * k;
      const light =
        0.3 + 1.1 * Math.max(0, (normals[n] ?? 0) * lx + (normals[n + 1] ?? 0) * ly + (normals[n + 2] ?? 0) * lz);
      const to = 4 * ((across - 1 - i) * rows + r);
      pixels[to] = (colours[n] ?? 0) * light * 255;
      pixels[to + 1] = (colours[n + 1] ?? 0) * light * 255;
      pixels[to + 2] = (colours[n + 2] ?? 0) * light * 255;
      pixels[to + 3] = 255;
    }
  }
  return pixels;
}
