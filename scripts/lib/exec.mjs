// Running a tool to its end, so that whoever wants to stop meanwhile is not kept waiting.
import { spawn } from 'node:child_process';

const running = new Set();
let stopped = false;

/** Ends every tool that is running, and lets no other begin. */
export function stopTools() {
  stopped = true;
  for (const child of running) child.kill('SIGTERM');
}

/**
 * Runs a program to its end.
 * @returns its exit status (null: it was stopped, or could not be begun) and what it printed
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
