/** What must not outlive a sign-out: each part of the app that keeps something of a person says how it is forgotten. */
const forgets = new Set<() => void>();

export function onForget(forget: () => void) {
  forgets.add(forget);
}

export function forgetAll() {
  forgets.forEach((forget) => forget());
}
