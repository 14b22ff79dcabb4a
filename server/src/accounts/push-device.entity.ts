import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A device that shows messages; its endpoint belongs to the push service of its browser. */
@Entity('push_device')
export class PushDeviceEntity {
  /** SHA-256 of the endpoint */
  @PrimaryColumn('char', { length: 64 })
  id: string;

  @Column('uuid')
  accountId: string;

  @Column('varchar', { length: 700 })
  endpoint: string;

  @Column('varchar', { length: 90 })
  p256dh: string;

  @Column('varchar', { length: 26 })
  auth: string;

  @Column('datetime', { precision: 3 })
  madeAt: Date;
}
