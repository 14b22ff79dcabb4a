import { ConflictException, Injectable, UnauthorizedException } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Me, SignIn, SignUp } from '@candid-leaf/contract';
import { hash, verify } from '@node-rs/argon2';
import type { Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { databaseTrouble } from '../shared/database-faults.js';
import { AccountEntity } from './account.entity.js';
import { Tries } from './tries.js';

/** Who tries to come in: the address, and the browser's own name where the account knows it. */
export interface Caller {
  address: string;
  deviceKnownTo: (accountId: string) => string | null;
}

@Injectable()
export class AccountsService {
  /** verified against when no such account exists, so that both answers take as long */
  private readonly decoy = hash('nobody has this password');

  constructor(
    @InjectRepository(AccountEntity) private readonly accounts: Repository<AccountEntity>,
    private readonly tries: Tries,
  ) {}

  /** Makes an account. Sent again with the same password it is the same account: the answer to the first may have been lost. */
  async signUp(input: SignUp, address: string): Promise<Me> {
    await this.tries.take('sign-up', address);
    const email = canonical(input.email);
    const there = await this.accounts.findOneBy({ email });
    if (there) return this.again(there, input.password);
    const passwordHash = await hash(input.password);
    const account = this.accounts.create({ id: uuid(), email, name: input.name, passwordHash });
    try {
      await this.accounts.insert(account);
    } catch (error) {
      // somebody else was as quick
      if (databaseTrouble(error) !== 'duplicate') throw error;
      return this.again(await this.accounts.findOneByOrFail({ email }), input.password);
    }
    return this.me(account);
  }

  private async again(account: AccountEntity, password: string): Promise<Me> {
    await this.tries.take('account', account.email);
    if (!(await verify(account.passwordHash, password)))
      throw new ConflictException('There is an account with this e-mail already.');
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
    if (!account || !right) throw new UnauthorizedException('E-mail and password do not belong together.');
    for (const [what, key] of limits) await this.tries.giveBack(what, key);
    return this.me(account);
  }

  async byId(id: string): Promise<Me | null> {
    const account = await this.accounts.findOneBy({ id });
    return account && this.me(account);
  }

  private me(a: AccountEntity): Me {
    return { id: a.id, email: a.email, name: a.name };
  }
}

/** One e-mail is written one way: small letters, and each accented letter as one. */
const canonical = (email: string): string => email.normalize('NFC').toLowerCase();
