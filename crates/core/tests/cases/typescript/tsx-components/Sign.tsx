/** What a sign takes. */
export interface Props { name: string; size?: number }
/**
 * A sign.
 * @param props what is shown
 */
export const Sign: React.FC<Props> = ({ name, size = 3, ...rest }: Props) => <b {...rest}>{name}</b>;
/**
 * A list.
 * @param items all
 */
export function List<T,>({ items }: { items: T[] }, ref: Ref) {
  return <ul>{items.map((item) => <li key={String(item)}>{/** no doc */}{item}</li>)}</ul>;
}
