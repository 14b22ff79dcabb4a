import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { AccessKeyDto, AccessKeyInput, NewAccessKey } from '@candid-leaf/contract';
import { MoreThan, type DataSource } from 'typeorm';
import { AccessKeyEntity } from '../accounts/access-key.entity.js';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { hashOf, newSecret } from '../shared/secrets.js';

const DAY_MS = 24 * 3600 * 1000;

/** A person's keys for scripts, each for one garden. */
@Injectable()
export class AccessKeysService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly clock: Clock,
  ) {}

  async list(gardenId: string, accountId: string): Promise<AccessKeyDto[]> {
    const keys = await this.db.manager.find(AccessKeyEntity, {
      where: { gardenId, accountId, expiresAt: MoreThan(this.clock.now()) },
      order: { expiresAt: 'ASC' },
    });
    return keys.map(asDto);
  }

  /** Creates a key. Sent again it is the same key with a new secret: the first answer may have been lost. */
  async make(gardenId: string, accountId: string, input: AccessKeyInput): Promise<NewAccessKey> {
    const old = await this.db.manager.findOneBy(AccessKeyEntity, { id: input.id });
    if (old && (old.gardenId !== gardenId || old.accountId !== accountId)) throw notFound('key');
    const key = newSecret();
    const { days, ...rest } = input;
    const made = await this.db.manager.save(AccessKeyEntity, {
      ...rest,
      gardenId,
      accountId,
      secretHash: hashOf(key),
      expiresAt: new Date(this.clock.now().getTime() + days * DAY_MS),
      usedAt: null,
    });
    return { ...asDto(made), key };
  }

  async remove(gardenId: string, accountId: string, id: string): Promise<void> {
    const { affected } = await this.db.manager.delete(AccessKeyEntity, { id, gardenId, accountId });
    if (!affected) throw notFound('key');
  }
}

const asDto = ({ id, name, role, expiresAt, usedAt }: AccessKeyEntity): AccessKeyDto => ({
  id,
  name,
  role,
  expiresAt: expiresAt.toISOString(),
  usedAt: usedAt?.toISOString() ?? null,
});
