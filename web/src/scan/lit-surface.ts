import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  DoubleSide,
  Line,
  LineBasicMaterial,
  Mesh,
  MeshStandardMaterial,
  OrthographicCamera,
  Scene,
  WebGLRenderer,
} from "three";
import { coloursOf, normalsOf, towards, type Lamp, type Relief } from "./relief";

/** The surface drawn by the tablet's graphics; drawn anew only when something changed. */
export class LitSurface {
  private readonly scene = new Scene();
  private readonly camera = new OrthographicCamera();
  private readonly sun = new DirectionalLight(0xfff4dd, 3);
  private readonly material = new MeshStandardMaterial({
    vertexColors: true,
    side: DoubleSide,
    metalness: 0.2,
    roughness: 0.5,
  });
  private mesh: Mesh<BufferGeometry, MeshStandardMaterial> | undefined;
  private readonly line = new Line(new BufferGeometry(), new LineBasicMaterial({ color: 0xf2b705 }));
  private relief: Relief | undefined;

  private constructor(private readonly renderer: WebGLRenderer) {
    this.scene.add(new AmbientLight(0xdfe8ff, 0.35), this.sun, this.line);
  }

  /** Absent where there is no graphics for it. */
  static on(canvas: HTMLCanvasElement): LitSurface | undefined {
    try {
      const probe = document.createElement("canvas").getContext("webgl2");
      if (!probe) return undefined;
      probe.getExtension("WEBGL_lose_context")?.loseContext();
      const renderer = new WebGLRenderer({ canvas, antialias: true });
      renderer.setPixelRatio(window.devicePixelRatio);
      renderer.setClearColor(0x10151b);
      return new LitSurface(renderer);
    } catch {
      return undefined;
    }
  }

  show(relief: Relief, byHeight: boolean) {
    this.relief = relief;
    const geometry = new BufferGeometry();
    geometry.setAttribute("position", new BufferAttribute(relief.points, 3));
    geometry.setAttribute("normal", new BufferAttribute(normalsOf(relief), 3));
    geometry.setAttribute("color", new BufferAttribute(coloursOf(relief, byHeight), 3));
    geometry.setIndex(new BufferAttribute(trianglesOf(relief), 1));
    if (this.mesh) {
      this.mesh.geometry.dispose();
      this.mesh.geometry = geometry;
    } else {
      this.mesh = new Mesh(geometry, this.material);
      this.scene.add(this.mesh);
    }
  }

  /** Looks at a stretch around a place, the lamp held so. */
  look(at: number, reach: number, lamp: Lamp, from: number) {
    const canvas = this.renderer.domElement;
    const width = canvas.clientWidth;
    const height = canvas.clientHeight;
    if (width === 0 || height === 0 || !this.relief) return;
    this.renderer.setSize(width, height, false);
    const half = reach / 2;
    const tall = (half * height) / width;
    Object.assign(this.camera, { left: -half, right: half, top: tall, bottom: -tall, near: 0.1, far: 2000 });
    // from straight above both members of a corner are seen alike
    const side = (from * Math.PI) / 180;
    const middle = this.middle();
    this.camera.position.set(at, -320 * Math.sin(side), middle + 320 * Math.cos(side));
    this.camera.up.set(0, 1, 0);
    this.camera.lookAt(at, 0, middle);
    this.camera.updateProjectionMatrix();
    const [x, y, z] = towards(lamp);
    this.sun.position.set(at + x * 100, y * 100, z * 100);
    this.sun.target.position.set(at, 0, 0);
    this.sun.target.updateMatrixWorld();
    this.mark(at);
    this.renderer.render(this.scene, this.camera);
  }

  private middle(): number {
    const { points, across, rows } = this.relief as Relief;
    return points[3 * (Math.floor(rows / 2) * across + Math.floor(across / 2)) + 2] ?? 0;
  }

  /** The section at the cursor, a little over the surface. */
  private mark(at: number) {
    const { points, across, rows } = this.relief as Relief;
    let row = 0;
    for (let r = 0; r < rows; r++) {
      if (Math.abs((points[3 * r * across] ?? 0) - at) < Math.abs((points[3 * row * across] ?? 0) - at)) row = r;
    }
    const run = points.slice(3 * row * across, 3 * (row + 1) * across);
    for (let i = 0; i < across; i++) run[3 * i + 2] = (run[3 * i + 2] ?? 0) + 0.15;
    this.line.geometry.dispose();
    this.line.geometry = new BufferGeometry().setAttribute("position", new BufferAttribute(run, 3));
  }

  dispose() {
    this.mesh?.geometry.dispose();
    this.line.geometry.dispose();
    this.material.dispose();
    this.renderer.dispose();
  }
}

function trianglesOf({ rows, across, points }: Relief): Uint32Array {
  const all: number[] = [];
  const place = (r: number) => points[3 * r * across] ?? 0;
  const steps = Array.from({ length: rows - 1 }, (_, r) => place(r + 1) - place(r)).sort((a, b) => a - b);
  const wide = 3 * (steps[Math.floor(steps.length / 2)] ?? Infinity);
  for (let r = 0; r + 1 < rows; r++) {
    if (place(r + 1) - place(r) > wide) continue; // what was not measured stays open
    for (let i = 0; i + 1 < across; i++) {
      const k = r * across + i;
      all.push(k, k + across, k + 1, k + 1, k + across, k + across + 1);
    }
  }
  return Uint32Array.from(all);
}
