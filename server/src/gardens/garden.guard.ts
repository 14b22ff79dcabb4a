import {
  ForbiddenException,
  Inject,
  Injectable,
  UnauthorizedException,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { InjectDataSource } from '@nestjs/typeorm';
import { reaches, type Role } from '@candid-leaf/contract';
import type { Request } from 'express';
import type { DataSource } from 'typeorm';
import { isUUID } from 'class-validator';
import { NEEDS_KEY, OPEN_IN_DEMO_KEY, PUBLIC_KEY, SESSION_ONLY_KEY, type Caller } from '../accounts/session.js';
import { CONFIG, type Config } from '../config.js';
import { noteCaller } from '../shared/caller.js';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { hashOf } from '../shared/secrets.js';

const READS = new Set(['GET', 'HEAD']);
/** Stands for a caller without an account; no account has this id. */
const NOBODY = '00000000-0000-0000-0000-000000000000';
/** How often use of a key is noted, ms. */
const NOTE_EVERY_MS = 3600 * 1000;

/** The caller, and their role in the garden of the path. */
interface GardenVisitor extends Caller {
  role: Role | null;
}

interface KeyRow {
  id: string;
  accountId: string;
  gardenId: string;
  role: Role;
  usedAt: Date | null;
  /** the owner's role in that garden; null: none any more */
  own: Role | null;
}

/** The refusal for a role that is not enough. */
const TOO_FAR: Record<Role, string> = {
  look: 'You don’t have access to this.',
  record: 'You can view this garden but not record in it. Ask a manager to give you more access.',
  keep: 'Only the garden’s managers can do this.',
};

/** @throws 403 with a sentence if the role is not enough */
export function mustReach(role: Role, needed: Role): void {
  if (!reaches(role, needed)) throw new ForbiddenException(TOO_FAR[needed]);
}

/**
 * The one guard, on every route. No session and no key: 401, except for looking at the demo garden. A garden in the path that is not the account's, or a
 * malformed id: 404, as if it did not exist. A role that is not enough: 403.
 */
@Injectable()
export class GardenGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly clock: Clock,
    @Inject(CONFIG) private readonly config: Config,
    @InjectDataSource() private readonly db: DataSource,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const marked = <T>(key: string): T | undefined =>
      this.reflector.getAllAndOverride<T>(key, [context.getHandler(), context.getClass()]);
    if (marked<boolean>(PUBLIC_KEY)) return true;
    const request = context.switchToHttp().getRequest<Request>();
    const gardenId = String(request.params.gardenId ?? '').toLowerCase();
    // to look is all the role allows, so a write stays refused even if it were marked
    const mayPassBy = marked<boolean>(OPEN_IN_DEMO_KEY) === true;
    const visitor = (await this.visitor(request, gardenId)) ?? (mayPassBy ? this.passerBy(request, gardenId) : null);
    if (!visitor) throw new UnauthorizedException('Sign in first.');
    for (const [name, value] of Object.entries(request.params))
      if (name.endsWith('Id')) {
        if (!isUUID(value)) throw notFound('page');
        // upper case means the same row
        request.params[name] = String(value).toLowerCase();
      }
    request.caller = { accountId: visitor.accountId, keyId: visitor.keyId };
    noteCaller(visitor.accountId);
    if (visitor.keyId !== null && (!gardenId || marked<boolean>(SESSION_ONLY_KEY)))
      throw new ForbiddenException('A key gives access to one garden only, not to accounts or people.');
    if (!gardenId) return true;
    if (!visitor.role) throw notFound('garden');
    const needed = marked<Role>(NEEDS_KEY) ?? (READS.has(request.method) ? 'look' : 'keep');
    mustReach(visitor.role, needed);
    return true;
  }

  /** Someone without an account: may look at the demo garden. A key that is not valid is refused as such. */
  private passerBy(request: Request, gardenId: string): GardenVisitor | null {
    const isDemo = this.config.demoGarden !== null && gardenId === this.config.demoGarden;
    return isDemo && !request.get('authorization') ? { accountId: NOBODY, keyId: null, role: 'look' } : null;
  }

  private visitor(request: Request, gardenId: string): Promise<GardenVisitor | null> {
    const key = /^Bearer +(\S+)$/i.exec(request.get('authorization') ?? '')?.[1];
    const garden = isUUID(gardenId) ? gardenId : null;
    return key === undefined ? this.bySession(request, garden) : this.byKey(key, garden);
  }

  /** A session is valid until its account signs out everywhere, changes the password, or is deleted. */
  private async bySession(request: Request, gardenId: string | null): Promise<GardenVisitor | null> {
    const { accountId, since = 0 } = request.session;
    if (!accountId) return null;
    const [row] = await this.db.query<{ sessionsSince: number; role: Role | null }[]>(
      `SELECT a.sessionsSince, m.role FROM account a LEFT JOIN membership m ON m.accountId = a.id AND m.gardenId = ? WHERE a.id = ?`,
      [gardenId, accountId],
    );
    if (!row || row.sessionsSince !== since) return null;
    // anyone with an account may view the demo garden
    const open = gardenId !== null && gardenId.toLowerCase() === this.config.demoGarden;
    return { accountId, keyId: null, role: row.role ?? (open ? 'look' : null) };
  }

  /** A key opens its own garden, limited by its role and its owner's, until it expires. */
  private async byKey(key: string, gardenId: string | null): Promise<GardenVisitor | null> {
    const now = this.clock.now();
    const [row] = await this.db.query<KeyRow[]>(
      `SELECT k.id, k.accountId, k.gardenId, k.role, k.usedAt, m.role AS own FROM access_key k
        LEFT JOIN membership m ON m.accountId = k.accountId AND m.gardenId = k.gardenId WHERE k.secretHash = ? AND k.expiresAt > ?`,
      [hashOf(key), now],
    );
    if (!row) return null;
    if (!row.usedAt || now.getTime() - row.usedAt.getTime() > NOTE_EVERY_MS)
      await this.db.query(`UPDATE access_key SET usedAt = ? WHERE id = ?`, [now, row.id]);
    const mine = row.own !== null && row.gardenId === gardenId;
    const role = mine && row.own ? (reaches(row.own, row.role) ? row.role : row.own) : null;
    return { accountId: row.accountId, keyId: row.id, role };
  }
}
