import type { MorningLine } from './words.js';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Which messages a person gets from a garden. */
@Entity('message_choice')
export class MessageChoiceEntity {
  @PrimaryColumn('uuid')
  accountId: string;

  @PrimaryColumn('uuid')
  gardenId: string;

  @Column('boolean')
  morning: boolean;

  @Column('boolean')
  warnings: boolean;

  @Column('boolean')
  byMail: boolean;

  @Column('boolean')
  byPush: boolean;

  @Column('tinyint')
  quietFrom: number;

  @Column('tinyint')
  quietUntil: number;
}

/** How messages travel. */
export type Channel = 'mail' | 'push';
/** `none`: nothing was due, so there is no message; `dropped`: it came too late, or nobody took it. */
export type MessageState = 'due' | 'sending' | 'sent' | 'none' | 'dropped';

/** A message, once for each person, garden, event, day and channel. Its words are deleted once it is sent. */
@Entity('message')
export class MessageEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  accountId: string;

  @Column('uuid')
  gardenId: string;

  /** `morning`, or the event of a warning */
  @Column('varchar', { length: 12 })
  event: string;

  @Column('date')
  day: string;

  @Column('varchar', { length: 4 })
  channel: Channel;

  @Column('varchar', { length: 8 })
  state: MessageState;

  /** when it may be tried next, or when sending began */
  @Column('datetime', { precision: 3 })
  at: Date;

  @Column('tinyint')
  tries: number;

  @Column('simple-json', { nullable: true })
  words: MessageWords | null;
}

/** What a message says. */
export interface MessageWords {
  title: string;
  text: string;
  /** a morning list, task by task: a mail has a link for each */
  lines: MorningLine[] | null;
  /** page to open, a path */
  path: string;
}

/** A key pair of this server, made once and shared by all its processes. */
@Entity('server_key')
export class ServerKeyEntity {
  @PrimaryColumn('varchar', { length: 20 })
  name: string;

  @Column('varchar', { length: 120 })
  publicKey: string;

  @Column('varchar', { length: 120 })
  privateKey: string;
}
