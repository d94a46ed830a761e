/** A picture's numbers for those who can't see it. */
export function NumbersTable({
  caption,
  rows,
}: {
  readonly caption: string;
  readonly rows: readonly (readonly [name: string, value: string])[];
}) {
  return (
    <table className="sr-only">
      <caption>{caption}</caption>
      <tbody>
        {rows.map(([name, value]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{value}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
