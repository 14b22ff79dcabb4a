import { OneLine } from '@candid-leaf/core/records';
import { IsIn, IsString, MaxLength, MinLength } from 'class-validator';
import { IsId } from './id.js';
import { ROLES, type Role } from './roles.js';

/** A member's new role. */
export class RoleChange {
  @IsIn(ROLES)
  role: Role;
}

/** An invitation to a garden, by a link that works once. */
export class InvitationInput {
  @IsId()
  id: string;

  /** the person's name, as the gardener calls them */
  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsIn(ROLES)
  role: Role;
}

/** A member of a garden, or someone who has left. */
export interface MemberDto {
  id: string;
  name: string;
  /** null: has left, but is still named beside their records */
  role: Role | null;
}

interface InvitationDto {
  id: string;
  name: string;
  role: Role;
  expiresAt: string;
}

/** Members of a garden, and open invitations. */
export interface PeopleDto {
  members: MemberDto[];
  invitations: InvitationDto[];
}

/** A link with a secret, shown only once. */
export interface NewLink {
  id: string;
  path: string;
  expiresAt: string;
}

/** What an invitation shows to the person who opened its link. */
export interface InvitationView {
  garden: string;
  by: string;
  name: string;
  role: Role;
}
