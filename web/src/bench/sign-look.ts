/** A button that signs has the colour of what it signs. */
export const signLook = (verdict: string) =>
  verdict === "reject" ? ({ type: "primary", danger: true } as const) : ({ color: "green", variant: "solid" } as const);
