import { Inject, Injectable } from '@nestjs/common';
import type { MessageLinkDto, MyGarden } from '@candid-leaf/contract';
import { CONFIG, type Config } from '../config.js';
import { mustReach } from '../gardens/garden.guard.js';
import { GardensService } from '../gardens/gardens.service.js';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { Workers } from '../shared/workers.js';
import { MessageChoices } from './choices.service.js';
import { linkBehind, recordIdOf, type MessageLink } from './links.js';

/** What the links of messages do for people who are not signed in: one task, or messages off. Nothing else. */
@Injectable()
export class OpenedLinks {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly gardens: GardensService,
    private readonly choices: MessageChoices,
    private readonly clock: Clock,
    private readonly workers: Workers,
  ) {}

  async read(token: string): Promise<MessageLinkDto> {
    const link = this.behind(token);
    const garden = await this.gardenOf(link);
    return { garden: garden.name, gardenId: garden.id, task: link.task?.title ?? null };
  }

  /** Opened twice, messages are off once. */
  async off(token: string): Promise<void> {
    const { accountId, gardenId, task } = this.behind(token);
    if (task) throw notFound('link');
    await this.choices.off(accountId, gardenId);
  }

  /**
   * Ticks the task as the person who got the message, with the role they have now.
   * @throws 404 if the task has gone from Today, or the person from the garden
   */
  async done(token: string): Promise<void> {
    const link = this.behind(token);
    if (!link.task) throw notFound('link');
    const { accountId, gardenId, task } = link;
    mustReach((await this.gardenOf(link)).role, 'record');
    await this.workers.run('tick a task', [gardenId, task.key, { accountId, recordId: recordIdOf(token) }, {}]);
  }

  private behind(token: string): MessageLink {
    return linkBehind(this.config.sessionSecret, token, this.clock.now());
  }

  private async gardenOf({ accountId, gardenId }: MessageLink): Promise<MyGarden> {
    const garden = (await this.gardens.listFor(accountId)).find((g) => g.id === gardenId);
    if (!garden) throw notFound('link');
    return garden;
  }
}
