/** Field names of earlier versions, with the names that replaced them in 0.14. Read for one version, then dropped. */
const RENAMED_FIELDS: Readonly<Record<string, string>> = {
  cultivarId: 'varietyId',
  kindUnsure: 'varietyUnsure',
  leans: 'tendencies',
  school: 'method',
  lean: 'moisture',
  drierFinish: 'drierRipening',
  reckoned: 'estimatedMinutes',
};

/** Record types of earlier versions. */
const RENAMED_TYPES: ReadonlyMap<unknown, string> = new Map([['neighbour', 'companion']]);

/** Names of garden-file tables of earlier versions. */
export const RENAMED_TABLES: Readonly<Record<string, string>> = { kinds: 'varieties' };

/**
 * Returns the same data with today's names of fields and record types: files, links, saved pages and devices of the version before still
 * send the old ones. A field that is there under both names keeps the new one. Returns the value itself if nothing
 * had an old name.
 * @example withCurrentNames({ school: 'by-need' }) // { method: 'by-need' }
 */
export function withCurrentNames<T>(value: T): T {
  if (Array.isArray(value)) {
    const items = value.map(withCurrentNames);
    return items.some((item, i) => item !== value[i]) ? (items as T) : value;
  }
  if (value === null || typeof value !== 'object' || Object.getPrototypeOf(value) !== Object.prototype) return value;
  let changed = false;
  const fields: [string, unknown][] = [];
  for (const [name, old] of Object.entries(value)) {
    const current = Object.hasOwn(RENAMED_FIELDS, name) ? RENAMED_FIELDS[name]! : name;
    if (current !== name && Object.hasOwn(value, current)) {
      changed = true;
      continue;
    }
    const now = withCurrentNames<unknown>(name === 'type' ? (RENAMED_TYPES.get(old) ?? old) : old);
    if (current !== name || now !== old) changed = true;
    fields.push([current, now]);
  }
  // fromEntries: a field called __proto__ stays a field, to be refused
  return changed ? (Object.fromEntries(fields) as T) : value;
}
