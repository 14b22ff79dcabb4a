// Runs a tool to its end without blocking, so that it can be stopped.
import { spawn } from 'node:child_process';

const running = new Set();
let stopped = false;

/** Ends every running tool, and starts no other. */
export function stopTools() {
  stopped = true;
  for (const child of running) child.kill('SIGTERM');
}

/**
 * Runs a program to its end.
 * @returns its exit status (null: stopped, or could not start) and its output
 */
export function exec(program, args, options = {}) {
  if (stopped) return Promise.resolve({ status: null, stdout: '', stderr: 'stopped' });
  return new Promise((done) => {
    const child = spawn(program, args, { stdio: ['ignore', 'pipe', 'pipe'], ...options });
    running.add(child);
    const text = { stdout: '', stderr: '' };
    child.stdout?.on('data', (part) => (text.stdout += part));
    child.stderr?.on('data', (part) => (text.stderr += part));
    const end = (status, more = '') => {
      running.delete(child);
      done({ status, stdout: text.stdout, stderr: text.stderr + more });
    };
    child.once('error', (error) => end(null, error.message));
    child.once('close', (code) => end(code));
  });
}
