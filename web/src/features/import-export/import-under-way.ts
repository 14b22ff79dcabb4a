/** The import that this device began in a garden and has not seen the end of: a page that comes back finds it. */
const keyOf = (gardenId: string): string => `candid-leaf:import:${gardenId}`;

export function importUnderWay(gardenId: string): string | null {
  try {
    return localStorage.getItem(keyOf(gardenId));
  } catch {
    // a browser that stores nothing
    return null;
  }
}

/** Notes the import under way; null: none. */
export function noteImport(gardenId: string, id: string | null): void {
  try {
    if (id === null) localStorage.removeItem(keyOf(gardenId));
    else localStorage.setItem(keyOf(gardenId), id);
  } catch {
    // a browser that stores nothing
  }
}
