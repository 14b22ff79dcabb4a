import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What a weather service answered for a place: all gardens near it share it, and so do all server processes. */
@Entity('kept_answer')
export class KeptAnswerEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('varchar', { length: 20 })
  source: string;

  /** what was asked, such as `hours` or `ten-years` */
  @Column('varchar', { length: 40 })
  what: string;

  @Column('double')
  latitude: number;

  @Column('double')
  longitude: number;

  @Column('double')
  elevationM: number;

  /** first day the answer covers */
  @Column('date')
  since: string;

  @Column('datetime', { precision: 3 })
  freshUntil: Date;

  /** as the service stated it, to ask "only if changed" */
  @Column('varchar', { length: 40, nullable: true })
  lastModified: string | null;

  @Column('mediumtext')
  body: string;
}
