import { memo, useDeferredValue } from 'react';

type Rows = readonly (readonly [name: string, value: string])[];

const Body = memo(function Body({ rows }: { readonly rows: Rows }) {
  return (
    <tbody>
      {rows.map(([name, value]) => (
        <tr key={name}>
          <th scope="row">{name}</th>
          <td>{value}</td>
        </tr>
      ))}
    </tbody>
  );
});

/**
 * A picture's numbers for those who can't see it. They follow the picture by a moment, so that
 * while a dial is turned it is drawn first.
 */
export function NumbersTable({ caption, rows }: { readonly caption: string; readonly rows: Rows }) {
  return (
    // In a box of its own: a table is never narrower than its words, hidden or not.
    <div className="sr-only">
      <table>
        <caption>{caption}</caption>
        <Body rows={useDeferredValue(rows)} />
      </table>
    </div>
  );
}
