/**
 * Plain data as one text, whatever order its keys stand in: two facts are the same when their texts are.
 * @example factText({ b: 1, a: [2] }) // '{"a":[2],"b":1}'
 */
export const factText = (value: unknown): string =>
  JSON.stringify(value, (_, v: unknown) =>
    typeof v === 'object' && v !== null && !Array.isArray(v)
      ? Object.fromEntries(
          Object.entries(v).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)),
        )
      : v,
  );
