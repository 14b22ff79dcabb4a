import { IsBoolean, IsInt, IsString, Matches, Max, MaxLength, Min } from 'class-validator';

/** Hours between which a quiet time may begin and end, in the garden's time: warnings need an evening, lists a morning. */
export const QUIET_HOURS = { from: [18, 23], until: [5, 10] } as const;

/** Which messages a person gets from a garden, how, and when none. */
export class MessageChoice {
  /** the day's tasks, when the quiet time ends; nothing on a day without tasks */
  @IsBoolean()
  morning: boolean;

  /** frost, heat, strong wind, much rain and blight weather, on the evening before */
  @IsBoolean()
  warnings: boolean;

  @IsBoolean()
  byMail: boolean;

  /** on the devices that this person allowed it on */
  @IsBoolean()
  byPush: boolean;

  @IsInt()
  @Min(QUIET_HOURS.from[0])
  @Max(QUIET_HOURS.from[1])
  quietFrom: number;

  @IsInt()
  @Min(QUIET_HOURS.until[0])
  @Max(QUIET_HOURS.until[1])
  quietUntil: number;
}

/** A person's choice in a garden, with what this server can send. */
export interface MessagesDto extends MessageChoice {
  /** null: this server sends no mail */
  mailTo: string | null;
  /** public key for a device that asks for messages (VAPID, RFC 8292) */
  pushKey: string;
  devices: number;
}

/** A device that shows messages: what its browser made for us (RFC 8030, 8291). */
export class PushDeviceInput {
  @IsString()
  @MaxLength(700)
  @Matches(/^https?:\/\/\S+$/, { message: 'must be a web address' })
  endpoint: string;

  /** the device's public key, 65 bytes in URL-safe letters */
  @IsString()
  @Matches(/^[\w-]{87}=?$/, { message: 'must be a key in URL-safe letters' })
  p256dh: string;

  /** its secret for this server, 16 bytes in URL-safe letters */
  @IsString()
  @Matches(/^[\w-]{22}={0,2}$/, { message: 'must be a secret in URL-safe letters' })
  auth: string;
}

/** The device whose messages end. */
export class PushDeviceGone {
  @IsString()
  @MaxLength(700)
  endpoint: string;
}

/** What the link of a message is about. */
export interface MessageLinkDto {
  garden: string;
  gardenId: string;
  /** the task it ticks; null: it turns the garden's messages off */
  task: string | null;
}
