import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The link by which a calendar program reads a garden's days: only the hash of its secret is stored. */
@Entity('calendar_link')
export class CalendarLinkEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @Column('char', { length: 64 })
  secretHash: string;

  @Column('datetime', { precision: 3 })
  madeAt: Date;

  /** the manager it ends with; null: made before anyone noted it */
  @Column('uuid', { nullable: true })
  madeBy: string | null;
}
