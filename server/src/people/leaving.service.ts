import { ConflictException, Injectable, Logger } from '@nestjs/common';
import { Cron, CronExpression } from '@nestjs/schedule';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Me } from '@candid-leaf/contract';
import { LessThanOrEqual, type DataSource } from 'typeorm';
import { AccountEntity } from '../accounts/account.entity.js';
import { AccountsService } from '../accounts/accounts.service.js';
import { GardenEntity } from '../gardens/garden.entity.js';
import { MembershipEntity } from '../gardens/membership.entity.js';
import { Mail } from '../mail/mail.service.js';
import { inBackground } from '../shared/background.js';
import { Clock } from '../shared/clock.js';
import { inTransaction } from '../shared/transactions.js';
import { endLinksOf } from './end-links.js';
import { PeopleService } from './people.service.js';

/** Grace time of an account to be deleted, ms. */
const GRACE_MS = 14 * 24 * 3600 * 1000;

/** Deletes accounts: marked first, then removed after a grace time, with the gardens no one else manages. */
@Injectable()
export class LeavingService {
  private readonly log = new Logger('Leaving');
  private readonly followers: ((gardenId: string) => Promise<void>)[] = [];

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly accounts: AccountsService,
    private readonly people: PeopleService,
    private readonly mail: Mail,
    private readonly clock: Clock,
  ) {}

  /** Registers cleanup of garden data outside the database; runs after the garden is gone. */
  onGone(follow: (gardenId: string) => Promise<void>): void {
    this.followers.push(follow);
  }

  /** @throws 409 if helpers would lose a garden: hand it over or remove them first */
  async ask(accountId: string, password: string): Promise<Me> {
    const account = await this.accounts.withPassword(accountId, password);
    const shared = (await this.people.keptAlone(this.db.manager, accountId)).filter((g) => g.helpers > 0);
    if (shared.length > 0)
      throw new ConflictException(
        `Others share ${shared.map((g) => g.garden.name).join(', ')}. Make one of them a manager or remove them first; then you can delete your account.`,
      );
    account.leavingAt ??= new Date(this.clock.now().getTime() + GRACE_MS);
    await this.db.manager.update(AccountEntity, { id: accountId }, { leavingAt: account.leavingAt });
    this.mail.send(
      account.email,
      'Your account will be deleted',
      `Your Candid Leaf account, and every garden only you manage, will be deleted on ${account.leavingAt.toISOString().slice(0, 10)}.

Sign in before then to keep it. Backups may hold your data until they are deleted.
`,
    );
    return this.accounts.me(account);
  }

  async stay(accountId: string): Promise<Me> {
    await this.db.manager.update(AccountEntity, { id: accountId }, { leavingAt: null });
    return this.accounts.me(await this.db.manager.findOneByOrFail(AccountEntity, { id: accountId }));
  }

  @Cron(CronExpression.EVERY_HOUR)
  sweep(): Promise<void> {
    return inBackground('the cleanup of deleted accounts', async () => {
      const due = await this.db.manager.findBy(AccountEntity, { leavingAt: LessThanOrEqual(this.clock.now()) });
      for (const { id } of due) await this.remove(id);
    });
  }

  /** Deletes one account completely or not at all. A helper who joined in between keeps the garden. */
  private async remove(accountId: string): Promise<void> {
    const gone = await inTransaction(this.db, async (m) => {
      const account = await m.findOne(AccountEntity, { where: { id: accountId }, lock: { mode: 'pessimistic_write' } });
      if (!account?.leavingAt || account.leavingAt > this.clock.now()) return [];
      const alone = await this.people.keptAlone(m, accountId);
      if (alone.some((g) => g.helpers > 0)) {
        this.log.warn('an account stays for now: others share a garden that only it manages');
        return [];
      }
      const ids = alone.map((g) => g.garden.id);
      // delete from the leaves up: records refer to plants, plants to beds
      for (const id of ids) {
        for (const table of ['record', 'treatment', 'plant', 'place', 'import_job'])
          await m.query(`DELETE FROM ${table} WHERE gardenId = ?`, [id]);
        await m.delete(GardenEntity, { id });
      }
      for (const member of await m.findBy(MembershipEntity, { accountId }))
        await endLinksOf(m, member.gardenId, member, null);
      await m.delete(AccountEntity, { id: accountId });
      return ids;
    });
    for (const id of gone) for (const follow of this.followers) await follow(id);
  }
}
