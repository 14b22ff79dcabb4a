import { Entity, PrimaryColumn } from 'typeorm';

/** "Not today" said to something that follows from the balance. */
@Entity('dismissal')
export class DismissalEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @PrimaryColumn('varchar', { length: 80 })
  taskKey: string;

  @PrimaryColumn('date')
  day: string;
}
