/**
 * Returns the facts of a table's row, whatever its wording: its numbers in order of place, the numbers named in
 * its texts (sorted), and its codes. Two wordings of one row have the same facts.
 *
 * @example factsOf({ code: 'mulch', depthCm: 6, line: 'Lay it 5 to 8 cm deep.' }) // '5 6 8 | mulch'
 */
export function factsOf(row: unknown): string {
  const numbers: number[] = [];
  const codes: string[] = [];
  const visit = (value: unknown): void => {
    if (typeof value === 'number') numbers.push(value);
    else if (typeof value === 'string') {
      if (/^[a-z0-9]+(?:-[a-z0-9]+)*$/.test(value)) codes.push(value);
      else for (const n of value.match(/\d+(?:\.\d+)?/g) ?? []) numbers.push(Number(n));
    } else if (Array.isArray(value)) value.forEach(visit);
    else if (value !== null && typeof value === 'object')
      for (const [key, inner] of Object.entries(value)) {
        codes.push(key);
        visit(inner);
      }
  };
  visit(row);
  return `${numbers.sort((a, b) => a - b).join(' ')} | ${codes.join(' ')}`;
}

/** Returns the facts of each row of some tables, by table and code. */
export function factsOfTables(tables: Record<string, unknown>): Record<string, string> {
  const facts: Record<string, string> = {};
  for (const [table, rows] of Object.entries(tables)) {
    const named = Array.isArray(rows)
      ? rows.map((row: { code?: string; name?: string }, i) => [row.code ?? String(i), row] as const)
      : Object.entries(rows as object);
    for (const [code, row] of named) facts[`${table} ${code}`] = factsOf(row);
  }
  return facts;
}
