/** A corner with its fillet: the product's sign. */
export function Wordmark() {
  return (
    <svg width="30" height="30" viewBox="0 0 32 32" aria-hidden="true">
      <rect width="32" height="32" rx="6" fill="#ffffff1f" />
      <path d="M7 25V7h5v13h13v5z" fill="#c9d3dc" />
      <path d="M12 10 22 20H12z" fill="#f2b705" />
    </svg>
  );
}
