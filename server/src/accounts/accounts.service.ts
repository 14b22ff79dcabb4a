import { ConflictException, ForbiddenException, Inject, Injectable, UnauthorizedException } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Me, SignIn, SignUp } from '@candid-leaf/contract';
import { CONFIG, type Config } from '../config.js';
import { hash, verify } from '@node-rs/argon2';
import { IsNull, MoreThan, type Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Clock } from '../shared/clock.js';
import { databaseTrouble } from '../shared/database-faults.js';
import { hashOf } from '../shared/secrets.js';
import { AccountEntity } from './account.entity.js';
import { InvitationEntity } from './invitation.entity.js';
import { Tries } from './tries.js';

/** The origin of a sign-in: the address, and the browser's own name if the account knows it. */
export interface Caller {
  address: string;
  deviceKnownTo: (accountId: string) => string | null;
}

/** Creates accounts and checks passwords. */
@Injectable()
export class AccountsService {
  /** verified against when no such account exists, so both answers take equally long */
  private readonly decoy = hash('no account has this password');

  constructor(
    @InjectRepository(AccountEntity) private readonly accounts: Repository<AccountEntity>,
    private readonly tries: Tries,
    private readonly clock: Clock,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  /**
   * Creates an account. Sending the same password again returns the same account: the first answer may have been
   * lost.
   */
  async signUp(input: SignUp, address: string): Promise<Me> {
    await this.tries.take('sign-up', address);
    const email = canonical(input.email);
    const there = await this.accounts.findOneBy({ email });
    if (there) return this.again(there, input.password);
    await this.mustBeOpenTo(input.invitation);
    const passwordHash = await hash(input.password);
    const fresh = { id: uuid(), email, name: input.name, passwordHash, sessionsSince: 0, leavingAt: null };
    const account = this.accounts.create(fresh);
    try {
      await this.accounts.insert(account);
    } catch (error) {
      // another request was faster
      if (databaseTrouble(error) !== 'duplicate') throw error;
      return this.again(await this.accounts.findOneByOrFail({ email }), input.password);
    }
    return this.me(account);
  }

  /** With registration off, only invited people may sign up, and the very first one. */
  private async mustBeOpenTo(invitation: string | undefined): Promise<void> {
    if (this.config.registration) return;
    const asked =
      invitation !== undefined &&
      (await this.accounts.manager.existsBy(InvitationEntity, {
        secretHash: hashOf(invitation),
        usedBy: IsNull(),
        expiresAt: MoreThan(this.clock.now()),
      }));
    if (!asked && (await this.accounts.count()) > 0)
      throw new ForbiddenException('New accounts are by invitation only. Ask a garden’s manager for one.');
  }

  private async again(account: AccountEntity, password: string): Promise<Me> {
    await this.tries.take('account', account.email);
    if (!(await verify(account.passwordHash, password)))
      throw new ConflictException('An account with this e-mail already exists.');
    await this.tries.giveBack('account', account.email);
    return this.me(account);
  }

  async signIn(input: SignIn, caller: Caller): Promise<Me> {
    const email = canonical(input.email);
    const account = await this.accounts.findOneBy({ email });
    const device = account && caller.deviceKnownTo(account.id);
    const limits = device
      ? ([['device', device]] as const)
      : ([
          ['address', caller.address],
          ['account', email],
        ] as const);
    for (const [what, key] of limits) await this.tries.take(what, key);
    const right = await verify(account?.passwordHash ?? (await this.decoy), input.password);
    if (!account || !right)
      throw new UnauthorizedException('E-mail or password is not right. Try again, or reset your password.');
    for (const [what, key] of limits) await this.tries.giveBack(what, key);
    return this.me(account);
  }

  async byId(id: string): Promise<Me | null> {
    const account = await this.accounts.findOneBy({ id });
    return account && this.me(account);
  }

  /** Returns how many times its sessions were ended: a new session carries the number. */
  async sessionsSince(id: string): Promise<number> {
    return (await this.accounts.findOneBy({ id }))?.sessionsSince ?? 0;
  }

  /** Returns the account if the password is right. Attempts count like those of a sign-in. */
  async withPassword(id: string, password: string): Promise<AccountEntity> {
    const account = await this.accounts.findOneByOrFail({ id });
    await this.tries.take('account', account.email);
    if (!(await verify(account.passwordHash, password)))
      throw new ForbiddenException('That is not your current password.');
    await this.tries.giveBack('account', account.email);
    return account;
  }

  me(a: AccountEntity): Me {
    return { id: a.id, email: a.email, name: a.name, leavingAt: a.leavingAt?.toISOString() ?? null };
  }
}

/** Normalises an e-mail: lower case, each accented letter as one character. */
export const canonical = (email: string): string => email.normalize('NFC').toLowerCase();
