/** The welding positions, each with what one sees. */
export const positions = [
  ["1F", "flat"],
  ["2F", "horizontal"],
  ["3F", "vertical"],
  ["4F", "overhead"],
  ["5F", "fixed pipe, level"],
  ["6F", "fixed pipe, inclined"],
  ["1G", "flat"],
  ["2G", "horizontal"],
  ["3G", "vertical"],
  ["4G", "overhead"],
  ["5G", "fixed pipe, level"],
  ["6G", "fixed pipe, inclined"],
] as const;
