import { createECDH, createPublicKey, randomBytes, verify, type ECDH } from 'node:crypto';
import { decrypt } from 'http_ece';
import { listen, type Listening } from './listening.js';

/** A device as its browser would describe it to a server. */
export interface Subscription {
  endpoint: string;
  p256dh: string;
  auth: string;
}

/** A message that came for a device, decrypted as the device would. */
export interface PushedMessage {
  endpoint: string;
  topic: string;
  ttl: number;
  body: unknown;
}

export interface PushServiceStandIn extends Listening {
  /** makes a device */
  subscribe: () => Subscription;
  messages: PushedMessage[];
  /** what was refused, and why */
  refused: string[];
  /** the next requests get this status instead of an answer */
  fail: (status: number, times: number) => void;
}

const DAY_S = 24 * 3600;

/**
 * A simulated push service on loopback. It takes a message only if it is signed for this address (RFC 8292) and can be
 * decrypted by the device (RFC 8291), as a real one and a real browser would.
 */
export async function startPushService(port = 0): Promise<PushServiceStandIn> {
  const devices = new Map<string, { ecdh: ECDH; auth: string }>();
  const messages: PushedMessage[] = [];
  const refused: string[] = [];
  let failing = { status: 0, times: 0 };
  let url = '';
  const listening = await listen((request, response) => {
    const parts: Buffer[] = [];
    request.on('data', (part: Buffer) => parts.push(part));
    request.on('end', () => {
      const answer = (status: number, why?: string): void => {
        if (why) refused.push(why);
        response.writeHead(status).end();
      };
      if (failing.times > 0) {
        failing.times -= 1;
        return answer(failing.status);
      }
      const device = devices.get(request.url ?? '');
      if (request.method !== 'POST' || !device) return answer(410, 'no such device');
      const fault = signatureFault(request.headers.authorization ?? '', url);
      if (fault) return answer(403, fault);
      const { ttl, topic = '' } = request.headers;
      if (ttl === undefined) return answer(400, 'no TTL');
      if (!/^[\w-]{0,32}$/.test(String(topic))) return answer(400, 'a bad topic');
      if (request.headers['content-encoding'] !== 'aes128gcm') return answer(415, 'not encrypted');
      try {
        const text = decrypt(Buffer.concat(parts), {
          version: 'aes128gcm',
          privateKey: device.ecdh,
          authSecret: device.auth,
        }).toString('utf8');
        messages.push({ endpoint: url + request.url, topic: String(topic), ttl: Number(ttl), body: JSON.parse(text) });
        answer(201);
      } catch {
        answer(400, 'not for this device');
      }
    });
  }, port);
  url = listening.url;
  return {
    ...listening,
    messages,
    refused,
    subscribe: () => {
      const ecdh = createECDH('prime256v1');
      const p256dh = ecdh.generateKeys().toString('base64url');
      const auth = randomBytes(16).toString('base64url');
      const path = `/device/${randomBytes(12).toString('base64url')}`;
      devices.set(path, { ecdh, auth });
      return { endpoint: url + path, p256dh, auth };
    },
    fail: (status, times) => {
      failing = { status, times };
    },
  };
}

/** Returns what is wrong with the signature of a request; null if nothing is. */
function signatureFault(authorization: string, audience: string): string | null {
  const [, token, key] = /^vapid t=([\w.-]+), ?k=([\w-]+)$/.exec(authorization) ?? [];
  if (!token || !key) return 'no signature';
  const [head = '', claims = '', signature = ''] = token.split('.');
  const point = Buffer.from(key, 'base64url');
  const publicKey = createPublicKey({
    format: 'jwk',
    key: {
      kty: 'EC',
      crv: 'P-256',
      x: point.subarray(1, 33).toString('base64url'),
      y: point.subarray(33, 65).toString('base64url'),
    },
  });
  const signed = verify(
    'sha256',
    Buffer.from(`${head}.${claims}`),
    { key: publicKey, dsaEncoding: 'ieee-p1363' },
    Buffer.from(signature, 'base64url'),
  );
  if (!signed) return 'a bad signature';
  const { aud, exp, sub } = JSON.parse(Buffer.from(claims, 'base64url').toString()) as Record<string, unknown>;
  if (aud !== audience) return 'signed for another address';
  const now = Date.now() / 1000;
  if (typeof exp !== 'number' || exp < now || exp > now + DAY_S) return 'signed for too long, or expired';
  return typeof sub === 'string' && /^(mailto:|https:)/.test(sub) ? null : 'nobody to ask';
}
