import type {
  Cover,
  EarlierYear,
  Irrigation,
  MulchSpell,
  RoofSpell,
  PlaceKind,
  PotMaterial,
  ShadeSpell,
  Slope,
  SoilTest,
  Texture,
  Vents,
} from '@candid-leaf/core/records';
import type { BedRule, PlaceWatering } from '@candid-leaf/contract';
import type { WalkRhythm } from '@candid-leaf/core/walks';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A bed or pot. */
@Entity('place')
export class PlaceEntity extends GardenRow {
  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 20 })
  kind: PlaceKind;

  @Column('varchar', { length: 20 })
  texture: Texture;

  @Column('varchar', { length: 20, nullable: true })
  cover: Cover | null;

  @Column('varchar', { length: 10, nullable: true })
  vents: Vents | null;

  @Column('boolean', { nullable: true })
  hollow: boolean | null;

  /** hours of direct sun on a clear summer day */
  @Column('double', { nullable: true })
  sunHours: number | null;

  @Column('boolean', { nullable: true })
  lowEnd: boolean | null;

  @Column('varchar', { length: 8, nullable: true })
  slope: Slope | null;

  @Column('boolean', { nullable: true })
  windy: boolean | null;

  @Column('boolean', { nullable: true })
  footpath: boolean | null;

  @Column('double', { nullable: true })
  roomTMinC: number | null;

  @Column('double', { nullable: true })
  roomTMaxC: number | null;

  @Column('double', { nullable: true })
  fillingCm: number | null;

  @Column('double', { nullable: true })
  volumeL: number | null;

  @Column('varchar', { length: 20, nullable: true })
  potMaterial: PotMaterial | null;

  @Column('double', { nullable: true })
  lengthM: number | null;

  @Column('double', { nullable: true })
  widthM: number | null;

  @Column('simple-json')
  mulch: MulchSpell[];

  /** from records; not stored */
  roofed?: RoofSpell[];

  @Column('simple-json')
  shade: ShadeSpell[];

  @Column('varchar', { length: 20, nullable: true })
  irrigation: Irrigation | null;

  @Column('double', { nullable: true })
  flowLPerH: number | null;

  @Column('double', { nullable: true })
  drainageMmPerH: number | null;

  @Column('simple-json', { nullable: true })
  soilTest: SoilTest | null;

  @Column('simple-json')
  history: EarlierYear[];

  /** earlier soil tests, oldest first */
  @Column('simple-json', { nullable: true })
  soilTests: SoilTest[] | null;

  /** earlier crops and problems, filled in automatically */
  @Column('simple-json', { nullable: true })
  grown: EarlierYear[] | null;

  /** watering method and local rules */
  @Column('simple-json', { nullable: true })
  watering: PlaceWatering | null;

  /** day its timer outlet was assigned */
  @Column('date', { nullable: true })
  zoneSince: string | null;

  /** how often it is checked; weekly by default */
  @Column('varchar', { length: 10, nullable: true })
  looking: WalkRhythm | null;

  /** open water nearby: no sprays */
  @Column('boolean', { nullable: true })
  pondNear: boolean | null;

  /** what is done differently here, since a problem */
  @Column('simple-json', { nullable: true })
  rules: BedRule[] | null;

  @Column('int', { default: 0 })
  position: number;

  @Column('date', { nullable: true })
  retiredOn: string | null;
}
