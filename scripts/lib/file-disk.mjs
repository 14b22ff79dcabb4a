// A disk of its own in a file, so that it can be copied block by block as a power cut would leave it. Needs root and loop devices.
import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';

const run = (program, args) => spawnSync(program, args, { encoding: 'utf8' });
const MB = 2 ** 20;
/** A copy during which something was written is taken again; so often at most. */
const MOST_COPIES = 40;

/** Mounts the disk in a file. Returns how to unmount it; null if this machine can't. */
export function mountDisk(file, at) {
  mkdirSync(at, { recursive: true });
  if (run('mount', ['-o', 'loop', file, at]).status !== 0) return null;
  // a program that is just ending may hold it for a moment longer
  return () => void (run('umount', [at]).status === 0 || run('umount', ['--lazy', at]));
}

/** Makes an empty disk in a file and mounts it. Returns how to unmount it; null if this machine can't. */
export function makeDisk(file, at, mb) {
  writeFileSync(file, '');
  truncateSync(file, mb * MB);
  if (run('mkfs.ext4', ['-q', '-F', file]).status !== 0) return null;
  return mountDisk(file, at);
}

/**
 * Copies a disk as it is at one instant: what its system has not written to it yet is missing, as after a power cut.
 * @returns whether nothing was written to it meanwhile, so that it is one instant
 */
export function copyDisk(file, to) {
  for (let i = 0; i < MOST_COPIES; i++) {
    const before = statSync(file).mtimeMs;
    // quick, or the system would write everything meanwhile: holes are not read
    if (run('cp', ['--sparse=always', file, to]).status !== 0) return false;
    if (statSync(file).mtimeMs === before) return true;
    rmSync(to);
  }
  return false;
}
