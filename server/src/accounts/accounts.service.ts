import {
  Inject,
  Injectable,
  ConflictException,
  HttpException,
  HttpStatus,
  UnauthorizedException,
} from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import type { Me, SignIn, SignUp } from '@candid-leaf/contract';
import { hash, verify } from '@node-rs/argon2';
import mysql from 'mysql2';
import { RateLimiterMySQL, type RateLimiterRes } from 'rate-limiter-flexible';
import type { DataSource, Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CONFIG, type Config } from '../config.js';
import { AccountEntity } from './account.entity.js';

/** Failed sign-ins allowed for one address and one e-mail within a quarter of an hour. */
const TRIES = 8;
const WINDOW_S = 15 * 60;

@Injectable()
export class AccountsService {
  private readonly pool: mysql.Pool;
  private readonly limiter: RateLimiterMySQL;
  /** verified against when no such account exists, so that both answers take as long */
  private readonly decoy = hash('nobody has this password');

  constructor(
    @InjectRepository(AccountEntity) private readonly accounts: Repository<AccountEntity>,
    @InjectDataSource() dataSource: DataSource,
    @Inject(CONFIG) config: Config,
  ) {
    this.pool = mysql.createPool({ uri: config.databaseUrl, connectionLimit: 2 });
    this.limiter = new RateLimiterMySQL({
      storeClient: this.pool,
      storeType: 'mysql2',
      dbName: String(dataSource.options.database ?? new URL(config.databaseUrl).pathname.slice(1)),
      tableName: 'login_attempt',
      tableCreated: true,
      clearExpiredByTimeout: false,
      points: TRIES,
      duration: WINDOW_S,
    });
  }

  async onModuleDestroy(): Promise<void> {
    await new Promise<void>((done) => this.pool.end(() => done()));
  }

  async signUp(input: SignUp): Promise<Me> {
    const email = input.email.toLowerCase();
    if (await this.accounts.existsBy({ email }))
      throw new ConflictException('There is an account with this e-mail already.');
    const account = this.accounts.create({
      id: uuid(),
      email,
      name: input.name,
      passwordHash: await hash(input.password),
    });
    await this.accounts.insert(account);
    return this.me(account);
  }

  async signIn(input: SignIn, address: string): Promise<Me> {
    const email = input.email.toLowerCase();
    const key = `${address} ${email}`.slice(0, 250);
    const state = await this.limiter.get(key);
    if (state && state.consumedPoints >= TRIES) throw tooMany(state);
    const account = await this.accounts.findOneBy({ email });
    const right = await verify(account?.passwordHash ?? (await this.decoy), input.password);
    if (!account || !right) {
      await this.limiter.penalty(key);
      throw new UnauthorizedException('E-mail and password do not belong together.');
    }
    await this.limiter.delete(key);
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

const tooMany = (state: RateLimiterRes): HttpException =>
  new HttpException(
    `Too many tries. Wait ${Math.max(1, Math.ceil(state.msBeforeNext / 60_000))} minutes.`,
    HttpStatus.TOO_MANY_REQUESTS,
  );
