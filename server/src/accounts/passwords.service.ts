import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { hash } from '@node-rs/argon2';
import { LessThan, type DataSource, type EntityManager } from 'typeorm';
import { Mail } from '../mail/mail.service.js';
import { Clock } from '../shared/clock.js';
import { badRequest } from '../shared/http-errors.js';
import { hashOf, newSecret } from '../shared/secrets.js';
import { inTransaction } from '../shared/transactions.js';
import { AccessKeyEntity } from './access-key.entity.js';
import { AccountEntity } from './account.entity.js';
import { AccountsService, canonical } from './accounts.service.js';
import { PasswordLinkEntity } from './password-link.entity.js';
import { PushDeviceEntity } from './push-device.entity.js';
import { Tries } from './tries.js';

/** Lifetime of a password link, ms. */
const LINK_MS = 3600 * 1000;

/** Changes passwords and ends everything opened with the old one. */
@Injectable()
export class PasswordsService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly accounts: AccountsService,
    private readonly tries: Tries,
    private readonly mail: Mail,
    private readonly clock: Clock,
  ) {}

  /** @returns the number a session must carry from now on */
  async change(accountId: string, old: string, fresh: string): Promise<number> {
    const account = await this.accounts.withPassword(accountId, old);
    const passwordHash = await hash(fresh);
    await inTransaction(this.db, (m) => this.set(m, account.id, passwordHash));
    return this.accounts.sessionsSince(account.id);
  }

  /** Sends a link if there is such an account; the answer is the same if not. */
  async forgotten(email: string, address: string): Promise<void> {
    this.mail.mustWork();
    await this.tries.take('mail-from', address);
    await this.tries.take('mail-to', canonical(email));
    const account = await this.db.manager.findOneBy(AccountEntity, { email: canonical(email) });
    if (!account) return;
    const secret = newSecret();
    const now = this.clock.now();
    await this.db.manager.delete(PasswordLinkEntity, { expiresAt: LessThan(now) });
    await this.db.manager.insert(PasswordLinkEntity, {
      secretHash: hashOf(secret),
      accountId: account.id,
      expiresAt: new Date(now.getTime() + LINK_MS),
    });
    this.mail.send(
      account.email,
      'Reset your password',
      `Someone asked to reset the password of your Candid Leaf account.

Choose a new one here within an hour:
${this.mail.linkTo('/new-password', secret)}

If it was not you, do nothing: your password stays the same.
`,
    );
  }

  /** Sets a new password by a link, once. All sessions, keys and other links of the account end. */
  async reset(secret: string, fresh: string): Promise<void> {
    const secretHash = hashOf(secret);
    const passwordHash = await hash(fresh);
    await inTransaction(this.db, async (m) => {
      const link = await m.findOne(PasswordLinkEntity, { where: { secretHash }, lock: { mode: 'pessimistic_write' } });
      if (!link || link.expiresAt <= this.clock.now())
        throw badRequest([{ path: 'secret', reason: 'was already used, or has expired: ask for a new one' }]);
      await this.set(m, link.accountId, passwordHash);
    });
  }

  /** Ends every session of the account, including this one, every key, and messages to every device. */
  async signOutEverywhere(accountId: string): Promise<void> {
    await inTransaction(this.db, (m) => this.endAll(m, accountId));
  }

  private async set(m: EntityManager, accountId: string, passwordHash: string): Promise<void> {
    await m.update(AccountEntity, { id: accountId }, { passwordHash });
    await m.delete(PasswordLinkEntity, { accountId });
    await this.endAll(m, accountId);
  }

  private async endAll(m: EntityManager, accountId: string): Promise<void> {
    await m.increment(AccountEntity, { id: accountId }, 'sessionsSince', 1);
    await m.delete(AccessKeyEntity, { accountId });
    await m.delete(PushDeviceEntity, { accountId });
  }
}
