import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The link under which a garden's days can be read by a calendar program: only a hash of its secret is kept. */
@Entity('calendar_link')
export class CalendarLinkEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @Column('char', { length: 64 })
  secretHash: string;

  @Column('datetime', { precision: 3 })
  madeAt: Date;
}
