// Backups of photos, beside those of the database: each picture once, however many backups name it. A picture never changes.
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

/** Returns the photo files a database names at this moment. */
async function filesNamedIn(reader) {
  const [tables] = await reader.query(`SHOW TABLES LIKE 'photo'`);
  if (tables.length === 0) return [];
  const [rows] = await reader.query('SELECT gardenId, id FROM photo WHERE deletedAt IS NULL ORDER BY gardenId, id');
  return rows.flatMap(({ gardenId, id }) => SIZES.map((size) => join(gardenId, `${id}${size}.jpg`)));
}

/**
 * Copies the photos a database names into `photos` in the backup folder, unless they are there.
 * @param reader a connection that sees the moment of the backup
 * @returns each with its checksum, and how many are named but missing on disk
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
 * Returns whether all photos of a backup are there, unchanged.
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
