import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { MessageChoice, MessagesDto, PushDeviceInput } from '@candid-leaf/contract';
import type { DataSource } from 'typeorm';
import { AccountEntity } from '../accounts/account.entity.js';
import { PushDeviceEntity } from '../accounts/push-device.entity.js';
import { Mail } from '../mail/mail.service.js';
import { Clock } from '../shared/clock.js';
import { badRequest } from '../shared/http-errors.js';
import { inTransaction } from '../shared/transactions.js';
import { MessageChoiceEntity } from './message.entities.js';
import { Push } from './push.service.js';

/** Until a person chooses, nothing is sent. */
const USUAL: MessageChoice = {
  morning: false,
  warnings: false,
  byMail: false,
  byPush: false,
  quietFrom: 21,
  quietUntil: 7,
};
/** Devices of one person; the oldest is forgotten. */
const MOST_DEVICES = 10;

const deviceId = (endpoint: string): string => createHash('sha256').update(endpoint).digest('hex');

/** Which messages people chose, and on which devices. */
@Injectable()
export class MessageChoices {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly mail: Mail,
    private readonly push: Push,
    private readonly clock: Clock,
  ) {}

  async of(accountId: string, gardenId: string): Promise<MessagesDto> {
    const m = this.db.manager;
    const row = await m.findOneBy(MessageChoiceEntity, { accountId, gardenId });
    const account = await m.findOneByOrFail(AccountEntity, { id: accountId });
    const { morning, warnings, byMail, byPush, quietFrom, quietUntil } = row ?? USUAL;
    return {
      morning,
      warnings,
      byMail,
      byPush,
      quietFrom,
      quietUntil,
      mailTo: this.mail.works ? account.email : null,
      pushKey: await this.push.publicKey(),
      devices: await m.countBy(PushDeviceEntity, { accountId }),
    };
  }

  async put(accountId: string, gardenId: string, choice: MessageChoice): Promise<MessagesDto> {
    await inTransaction(this.db, (m) =>
      m.upsert(MessageChoiceEntity, { ...choice, accountId, gardenId }, ['accountId', 'gardenId']),
    );
    return this.of(accountId, gardenId);
  }

  /** Turns a garden's messages off for one person; what waits is not sent. */
  async off(accountId: string, gardenId: string): Promise<void> {
    await inTransaction(this.db, (m) => m.delete(MessageChoiceEntity, { accountId, gardenId }));
  }

  /**
   * Notes a device. The same device again is one device, and belongs to the person who used it last.
   * @throws 400 if its push service is not one of the known ones
   */
  async addDevice(accountId: string, { endpoint, p256dh, auth }: PushDeviceInput): Promise<void> {
    if (!this.push.knows(endpoint))
      throw badRequest([
        { path: 'endpoint', reason: 'is no push service that this server knows: see PUSH_HOSTS in the settings' },
      ]);
    const device = { id: deviceId(endpoint), accountId, endpoint, p256dh, auth, madeAt: this.clock.now() };
    await inTransaction(this.db, async (m) => {
      await m.upsert(PushDeviceEntity, device, ['id']);
      const all = await m.find(PushDeviceEntity, { where: { accountId }, order: { madeAt: 'DESC' } });
      for (const { id } of all.slice(MOST_DEVICES)) await m.delete(PushDeviceEntity, { id });
    });
  }

  async removeDevice(accountId: string, endpoint: string): Promise<void> {
    await this.db.manager.delete(PushDeviceEntity, { id: deviceId(endpoint), accountId });
  }
}
