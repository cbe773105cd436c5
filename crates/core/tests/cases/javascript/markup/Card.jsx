/** A card. */
export function Card({ title, children }) {
  return <div onClick={() => go(title)}>{children}</div>;
}
