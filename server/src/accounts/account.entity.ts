import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('account')
export class AccountEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('varchar', { length: 200 })
  email: string;

  @Column('varchar', { length: 255 })
  passwordHash: string;

  @Column('varchar', { length: 80 })
  name: string;
}
