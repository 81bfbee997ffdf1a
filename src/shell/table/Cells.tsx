/** Heads and rows of a plain table; whose look it has says what it stands in. */
export const Cells = ({
  heads,
  rows,
}: {
  heads: readonly string[];
  rows: readonly (readonly (string | number)[])[];
}) => (
  <>
    <thead>
      <tr>
        {heads.map((head) => (
          <th key={head} scope="col">
            {head}
          </th>
        ))}
      </tr>
    </thead>
    <tbody>
      {rows.map((row, i) => (
        <tr key={i}>
          {row.map((cell, k) => (
            <td key={k}>{cell}</td>
          ))}
        </tr>
      ))}
    </tbody>
  </>
);
