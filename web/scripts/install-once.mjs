// Runs `npm ci` only when the lock file is not the one that node_modules was made from.
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";

const stamp = "node_modules/.made-from";
const sum = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== sum) {
  const made = spawnSync("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"], { stdio: "inherit" });
  if (made.status !== 0) {
    console.error("mensor: npm ci failed; the packages could not be installed");
    process.exit(made.status ?? 1);
  }
  writeFileSync(stamp, sum);
}
