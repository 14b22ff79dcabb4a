import { ConflictException, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { InvitationInput, InvitationView, MemberDto, NewLink, PeopleDto, Role } from '@candid-leaf/contract';
import { In, IsNull, MoreThan, Not, type DataSource, type EntityManager } from 'typeorm';
import { AccessKeyEntity } from '../accounts/access-key.entity.js';
import { AccountEntity } from '../accounts/account.entity.js';
import { InvitationEntity } from '../accounts/invitation.entity.js';
import { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { MembershipEntity } from '../gardens/membership.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { hashOf, newSecret } from '../shared/secrets.js';
import { endLinksOf } from './end-links.js';
import { WateringListEntity } from '../watering-list/watering-list.entity.js';

/** Lifetime of an invitation, ms. */
const INVITATION_MS = 7 * 24 * 3600 * 1000;

/** Members of a garden and their roles. A garden always has a manager. */
@Injectable()
export class PeopleService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly clock: Clock,
  ) {}

  /** Returns members, former members named on records, and open invitations. */
  async list(gardenId: string): Promise<PeopleDto> {
    const m = this.db.manager;
    const memberships = await m.find(MembershipEntity, { where: { gardenId }, order: { since: 'ASC' } });
    const roles = new Map(memberships.map((x) => [x.accountId, x.role]));
    const wrote = await this.writers(gardenId);
    const ids = [...new Set([...roles.keys(), ...wrote])];
    const accounts = new Map((await m.findBy(AccountEntity, { id: In(ids) })).map((a) => [a.id, a.name]));
    const lists = new Map((await m.findBy(WateringListEntity, { gardenId })).map((l) => [l.id, l.name]));
    const members = ids.flatMap((id): MemberDto[] => {
      const name = accounts.get(id) ?? lists.get(id);
      return name ? [{ id, name, role: roles.get(id) ?? null }] : [];
    });
    const open = await m.find(InvitationEntity, {
      where: { gardenId, usedBy: IsNull(), expiresAt: MoreThan(this.clock.now()) },
      order: { expiresAt: 'ASC' },
    });
    return { members, invitations: open.map(asDto) };
  }

  private async writers(gardenId: string): Promise<string[]> {
    const rows = await this.db.manager
      .createQueryBuilder(RecordEntity, 'r')
      .select('DISTINCT r.createdBy', 'by')
      .where('r.gardenId = :gardenId', { gardenId })
      .getRawMany<{ by: string }>();
    return rows.map((r) => r.by);
  }

  /**
   * Creates an invitation with its link. Sent again it is the same invitation with a new link; the old link stops
   * working.
   */
  async invite(gardenId: string, madeBy: string, input: InvitationInput): Promise<NewLink> {
    const secret = newSecret();
    const expiresAt = new Date(this.clock.now().getTime() + INVITATION_MS);
    await this.gardens.change(gardenId, async (m) => {
      const old = await m.findOneBy(InvitationEntity, { id: input.id });
      if (old && old.gardenId !== gardenId) throw notFound('invitation');
      if (old?.usedBy) throw new ConflictException('This invitation has already been used.');
      await m.save(InvitationEntity, {
        ...input,
        gardenId,
        madeBy,
        secretHash: hashOf(secret),
        expiresAt,
        usedBy: null,
      });
    });
    return { id: input.id, path: `/join#${secret}`, expiresAt: expiresAt.toISOString() };
  }

  async takeBack(gardenId: string, id: string): Promise<void> {
    const { affected } = await this.db.manager.delete(InvitationEntity, { id, gardenId, usedBy: IsNull() });
    if (!affected) throw notFound('invitation');
  }

  /** Returns an invitation's text; a used, cancelled or expired one is "not found". */
  async read(secret: string): Promise<InvitationView> {
    const invitation = await this.openOne(this.db.manager, secret);
    const garden = await this.gardens.get(invitation.gardenId);
    const by = await this.db.manager.findOneBy(AccountEntity, { id: invitation.madeBy });
    return {
      garden: garden.name,
      by: by?.name ?? 'A former member',
      name: invitation.name,
      role: invitation.role,
    };
  }

  /** Adds the account; existing members keep their role. Repeating it is harmless. */
  async accept(secret: string, accountId: string): Promise<{ gardenId: string }> {
    const used = await this.db.manager.findOneBy(InvitationEntity, { secretHash: hashOf(secret), usedBy: accountId });
    if (used && (await this.db.manager.existsBy(MembershipEntity, { accountId, gardenId: used.gardenId })))
      return { gardenId: used.gardenId };
    const { gardenId } = await this.openOne(this.db.manager, secret);
    await this.gardens.change(gardenId, async (m) => {
      const invitation = await this.openOne(m, secret);
      if (!(await m.existsBy(MembershipEntity, { accountId, gardenId })))
        await m.insert(MembershipEntity, { accountId, gardenId, role: invitation.role, since: this.clock.now() });
      await m.update(InvitationEntity, { id: invitation.id }, { usedBy: accountId });
    });
    return { gardenId };
  }

  private async openOne(m: EntityManager, secret: string): Promise<InvitationEntity> {
    const found = await m.findOneBy(InvitationEntity, {
      secretHash: hashOf(secret),
      usedBy: IsNull(),
      expiresAt: MoreThan(this.clock.now()),
    });
    if (!found) throw notFound('invitation');
    return found;
  }

  async setRole(gardenId: string, memberId: string, role: Role): Promise<void> {
    await this.gardens.change(gardenId, async (m) => {
      const member = await this.member(m, gardenId, memberId);
      if (role !== 'keep') await this.mustBeKeptWithout(m, gardenId, memberId);
      await m.update(MembershipEntity, { gardenId, accountId: memberId }, { role });
      await endLinksOf(m, gardenId, member, role);
    });
  }

  /** Removes a member, by themselves or by a manager, with their keys, links and open invitations. */
  async remove(gardenId: string, memberId: string): Promise<void> {
    await this.gardens.change(gardenId, async (m) => {
      const member = await this.member(m, gardenId, memberId);
      await this.mustBeKeptWithout(m, gardenId, memberId);
      await m.delete(MembershipEntity, { gardenId, accountId: memberId });
      await m.delete(AccessKeyEntity, { gardenId, accountId: memberId });
      await endLinksOf(m, gardenId, member, null);
    });
  }

  private async member(m: EntityManager, gardenId: string, accountId: string): Promise<MembershipEntity> {
    const found = await m.findOneBy(MembershipEntity, { gardenId, accountId });
    if (!found) throw notFound('member');
    return found;
  }

  private async mustBeKeptWithout(m: EntityManager, gardenId: string, accountId: string): Promise<void> {
    const others = await m.countBy(MembershipEntity, { gardenId, role: 'keep', accountId: Not(accountId) });
    if (others === 0)
      throw new ConflictException('A garden needs a manager. Make someone else a manager first, then leave.');
  }

  /** Returns gardens that would go with an account: those no one else manages. */
  async keptAlone(m: EntityManager, accountId: string): Promise<{ garden: GardenEntity; helpers: number }[]> {
    const kept = await m.findBy(MembershipEntity, { accountId, role: 'keep' });
    const alone: { garden: GardenEntity; helpers: number }[] = [];
    for (const { gardenId } of kept) {
      const others = await m.findBy(MembershipEntity, { gardenId, accountId: Not(accountId) });
      if (!others.some((o) => o.role === 'keep'))
        alone.push({ garden: await this.gardens.get(gardenId, m), helpers: others.length });
    }
    return alone;
  }
}

const asDto = ({ id, name, role, expiresAt }: InvitationEntity): PeopleDto['invitations'][number] => ({
  id,
  name,
  role,
  expiresAt: expiresAt.toISOString(),
});
