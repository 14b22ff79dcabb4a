// Copies of photos, beside those of the database: each picture once, however many copies name it. A picture never changes under its name.
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Plain } from './say.mjs';

const SIZES = ['', '-small'];
const sumOf = (file) => createHash('sha256').update(readFileSync(file)).digest('hex');

/** Whole or not at all. */
function put(from, to) {
  mkdirSync(dirname(to), { recursive: true, mode: 0o700 });
  copyFileSync(from, `${to}.partial`);
  renameSync(`${to}.partial`, to);
}

/** The files of the photos that a database names at this moment. */
async function filesNamedIn(reader) {
  const [tables] = await reader.query(`SHOW TABLES LIKE 'photo'`);
  if (tables.length === 0) return [];
  const [rows] = await reader.query('SELECT gardenId, id FROM photo WHERE deletedAt IS NULL ORDER BY gardenId, id');
  return rows.flatMap(({ gardenId, id }) => SIZES.map((size) => join(gardenId, `${id}${size}.jpg`)));
}

/**
 * Copies the photos that a database names into `photos` in the folder of copies, those that are not there yet.
 * @param reader a connection that sees the moment of the copy
 * @returns each with its sum; and how many are named and not on the disk
 */
export async function copyPhotos(reader, photos, folder) {
  const sums = {};
  let missing = 0;
  for (const name of await filesNamedIn(reader)) {
    const [from, to] = [join(photos, name), join(folder, 'photos', name)];
    if (!existsSync(from)) {
      missing += 1;
      continue;
    }
    const sum = sumOf(from);
    if (!existsSync(to) || sumOf(to) !== sum) put(from, to);
    sums[name] = sum;
  }
  return { sums, missing };
}

/**
 * Are all photos of a copy there, as they were?
 * @throws which is not
 */
export function checkPhotos(sums, folder) {
  for (const [name, sum] of Object.entries(sums ?? {})) {
    const file = join(folder, 'photos', name);
    if (!existsSync(file)) throw new Plain(`${file} is missing from the copy. Nothing was touched.`);
    if (sumOf(file) !== sum)
      throw new Plain(`${file} is not as it was when it was copied: it was damaged or changed. Nothing was touched.`);
  }
}

/** Puts the photos of a copy back where they are missing or are not the same; nothing else there is touched. */
export function putPhotosBack(sums, folder, photos) {
  let back = 0;
  for (const [name, sum] of Object.entries(sums ?? {})) {
    const to = join(photos, name);
    if (existsSync(to) && sumOf(to) === sum) continue;
    put(join(folder, 'photos', name), to);
    back += 1;
  }
  return back;
}
