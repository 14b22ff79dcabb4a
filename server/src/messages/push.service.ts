import { Inject, Injectable, Logger } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { ExponentialBackoff, handleAll, retry } from 'cockatiel';
import type { DataSource } from 'typeorm';
import webPush from 'web-push';
import { PushDeviceEntity } from '../accounts/push-device.entity.js';
import { CONFIG, type Config } from '../config.js';
import { ServerKeyEntity } from './message.entities.js';

const NAME = 'push';
/** How long a push service keeps a message for a device that is off, s: a warning is old by next morning. */
const KEEP_S = 10 * 3600;
const PATIENCE_MS = 10_000;
/** A device that its push service no longer knows. */
const GONE = new Set([404, 410]);

/** What a device gets: it shows the title and text, and opens the page. */
export interface PushMessage {
  title: string;
  text: string;
  path: string;
  /** a later message with the same tag replaces an earlier one */
  tag: string;
  /** the token that turns messages off */
  off: string;
}

/** Sends messages to devices by Web Push (RFC 8030), encrypted for the device (RFC 8291), signed with our key (RFC 8292). */
@Injectable()
export class Push {
  private keys: Promise<ServerKeyEntity> | null = null;
  private readonly log = new Logger(Push.name);

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  /** Returns whether an endpoint belongs to a known push service: the server sends to no other address. */
  knows(endpoint: string): boolean {
    if (!URL.canParse(endpoint)) return false;
    const { protocol, host, hostname, username } = new URL(endpoint);
    if (username) return false;
    return this.config.pushHosts.some((known) =>
      known.startsWith('http://') // a stand-in on this machine
        ? protocol === 'http:' && `http://${host}` === known
        : protocol === 'https:' && (known.startsWith('.') ? hostname.endsWith(known) : host === known),
    );
  }

  async publicKey(): Promise<string> {
    return (await this.own()).publicKey;
  }

  /**
   * Sends a message to every device of a person, and forgets those that are gone. Returns how many took it.
   * @throws if none took it but some may later
   */
  async send(accountId: string, message: PushMessage): Promise<number> {
    const devices = await this.db.manager.findBy(PushDeviceEntity, { accountId });
    const done = await Promise.all(devices.map((device) => this.toDevice(device, message)));
    const taken = done.filter((d) => d === 'taken').length;
    if (taken === 0 && done.includes('failed')) throw new Error('no push service took the message');
    return taken;
  }

  private async toDevice(device: PushDeviceEntity, message: PushMessage): Promise<'taken' | 'gone' | 'failed'> {
    if (!this.knows(device.endpoint)) return 'gone';
    const { publicKey, privateKey } = await this.own();
    const { endpoint, p256dh, auth } = device;
    const { method, headers, body } = webPush.generateRequestDetails(
      { endpoint, keys: { p256dh, auth } },
      JSON.stringify(message),
      {
        vapidDetails: { subject: this.subject(), publicKey, privateKey },
        TTL: KEEP_S,
        urgency: 'high',
        topic: message.tag,
      },
    );
    const again = retry(handleAll, { maxAttempts: 2, backoff: new ExponentialBackoff({ initialDelay: 200 }) });
    try {
      const status = await again.execute(async () => {
        const response = await fetch(endpoint, {
          method,
          headers: headers as Record<string, string>,
          body,
          redirect: 'error',
          signal: AbortSignal.timeout(PATIENCE_MS),
        });
        await response.body?.cancel();
        if (response.status >= 500) throw new Error(`the push service answered ${response.status}`);
        return response.status;
      });
      if (status < 300) return 'taken';
      if (!GONE.has(status)) return 'failed';
      await this.db.manager.delete(PushDeviceEntity, { id: device.id });
      return 'gone';
    } catch (error) {
      this.log.warn(`a device was not reached: ${(error as Error).message}`);
      return 'failed';
    }
  }

  /** Push services want to know whom to ask. */
  private subject(): string {
    const { publicUrl, weather } = this.config;
    if (publicUrl?.startsWith('https:')) return publicUrl;
    return weather.contact?.includes('@') ? `mailto:${weather.contact}` : 'mailto:nobody@localhost';
  }

  /** Made on first use, once for all processes. */
  private own(): Promise<ServerKeyEntity> {
    this.keys ??= this.read().catch((error: unknown) => {
      this.keys = null;
      throw error;
    });
    return this.keys;
  }

  private async read(): Promise<ServerKeyEntity> {
    const m = this.db.manager;
    const found = await m.findOneBy(ServerKeyEntity, { name: NAME });
    if (found) return found;
    const fresh = webPush.generateVAPIDKeys();
    await this.db.query(`INSERT IGNORE INTO server_key (name, publicKey, privateKey) VALUES (?, ?, ?)`, [
      NAME,
      fresh.publicKey,
      fresh.privateKey,
    ]);
    return m.findOneByOrFail(ServerKeyEntity, { name: NAME });
  }
}
