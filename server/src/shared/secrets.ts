import { createHash, randomBytes } from 'node:crypto';

const BYTES = 32;

/** Returns a secret for a link or key: 256 random bits in URL-safe letters. */
export const newSecret = (): string => randomBytes(BYTES).toString('base64url');

/** Returns the hash stored for a secret. It is too long to guess, so a plain hash is enough. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
