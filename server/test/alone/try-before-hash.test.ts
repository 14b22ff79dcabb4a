import type { Repository } from 'typeorm';
import { AccountsService } from '../../src/accounts/accounts.service.js';
import type { AccountEntity } from '../../src/accounts/account.entity.js';
import { Clock } from '../../src/shared/clock.js';
import type { Config } from '../../src/config.js';
import type { Tries } from '../../src/accounts/tries.js';

/** A try is taken before the password is looked at, which costs more than all else: whoever has none left costs nothing. */
const order: string[] = [];
jest.mock('@node-rs/argon2', () => ({
  hash: () => Promise.resolve('hashed'),
  verify: () => {
    order.push('hash');
    return Promise.resolve(true);
  },
}));
beforeEach(() => order.splice(0));

const account = { id: 'a', email: 'ann@halt.example', passwordHash: 'hashed', name: 'Ann', leavingAt: null };
function service(left: boolean): AccountsService {
  const repo = { findOneBy: () => Promise.resolve(account) } as unknown as Repository<AccountEntity>;
  const take = (what: string) => {
    order.push(what);
    return left ? Promise.resolve() : Promise.reject(new Error('none left'));
  };
  const tries = { take, giveBack: () => Promise.resolve() } as unknown as Tries;
  return new AccountsService(repo, tries, new Clock(), { registration: true } as Config);
}
const caller = (device: string | null) => ({ address: '10.0.0.1', deviceKnownTo: () => device });
const who = { email: account.email, password: 'a word' };

test('in order: a stranger’s address and account, a known device, a sign-up', async () => {
  await service(true).signIn(who, caller(null));
  expect(order.splice(0)).toEqual(['address', 'account', 'hash']);
  await service(true).signIn(who, caller('device'));
  expect(order.splice(0)).toEqual(['device', 'hash']);
  await service(true).signUp({ ...who, name: 'A' }, '10.0.0.1');
  expect(order).toEqual(['sign-up', 'account', 'hash']);
});

test('without tries left nothing is hashed', async () => {
  for (const attempt of [
    () => service(false).signIn(who, caller(null)),
    () => service(false).signIn(who, caller('device')),
    () => service(false).signUp({ ...who, name: 'A' }, '10.0.0.1'),
  ])
    await expect(attempt()).rejects.toThrow('none left');
  expect(order).not.toContain('hash');
});
