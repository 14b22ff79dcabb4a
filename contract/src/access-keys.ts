import { OneLine } from '@candid-leaf/core/records';
import { IsIn, IsInt, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { IsId } from './id.js';
import { ROLES, type Role } from './roles.js';

/** A key for a script at home: to one garden, with a role. */
export class AccessKeyInput {
  @IsId()
  id: string;

  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsIn(ROLES)
  role: Role;

  /** days it is valid */
  @IsInt()
  @Min(1)
  @Max(366, { message: 'must be 366 or less' })
  days: number;
}

/** An access key as its garden's managers see it; the secret is shown once only. */
export interface AccessKeyDto {
  id: string;
  name: string;
  role: Role;
  expiresAt: string;
  usedAt: string | null;
}

/** The key itself, shown only once. */
export interface NewAccessKey extends AccessKeyDto {
  key: string;
}
