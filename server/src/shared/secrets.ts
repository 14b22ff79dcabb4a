import { createHash, randomBytes } from 'node:crypto';

const BYTES = 32;

/** A secret for a link or a key: 256 bits that nobody guesses, in letters that an address bears. */
export const newSecret = (): string => randomBytes(BYTES).toString('base64url');

/** What is kept of a secret. It is too long to be guessed, so a plain hash does. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
