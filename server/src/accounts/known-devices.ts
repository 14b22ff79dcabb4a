import { createHmac, randomUUID, timingSafeEqual } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { parseCookie } from 'cookie';
import type { Request, Response } from 'express';
import { CONFIG, type Config } from '../config.js';
import { cookieName } from '../shared/cookie-name.js';

const YEAR_MS = 365 * 24 * 3600 * 1000;
/** Most accounts one browser may be known to. */
const MOST = 4;

/**
 * Browsers from which someone has signed in before. Guesses from outside use up the account's attempts; its owner, on
 * a known browser, has attempts of their own.
 */
@Injectable()
export class KnownDevices {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  /** Returns the device's own name, if the account knows it. */
  known(request: Request, accountId: string): string | null {
    return (
      this.tokens(request)
        .find((token) => this.isOf(token, accountId))
        ?.split('.')[0] ?? null
    );
  }

  /** Makes this browser known to the account. */
  remember(request: Request, response: Response, accountId: string): void {
    const others = this.tokens(request).filter((token) => !this.isOf(token, accountId));
    const id = this.known(request, accountId) ?? randomUUID();
    response.cookie(this.name, [`${id}.${this.sign(id, accountId)}`, ...others].slice(0, MOST).join('~'), {
      httpOnly: true,
      sameSite: 'lax',
      path: '/',
      secure: this.config.secureCookies,
      maxAge: YEAR_MS,
    });
  }

  private get name(): string {
    return cookieName(this.config, 'candid-leaf-device');
  }

  private tokens(request: Request): string[] {
    const value = parseCookie(request.get('cookie') ?? '')[this.name] ?? '';
    return value.split('~').filter((t) => /^[\w-]{36}\.[\w-]{43}$/.test(t));
  }

  private isOf(token: string, accountId: string): boolean {
    const [id = '', signature = ''] = token.split('.');
    return timingSafeEqual(Buffer.from(signature), Buffer.from(this.sign(id, accountId)));
  }

  private sign(id: string, accountId: string): string {
    return createHmac('sha256', this.config.sessionSecret).update(`device ${id} ${accountId}`).digest('base64url');
  }
}
