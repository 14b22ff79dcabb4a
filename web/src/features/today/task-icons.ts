import type { TaskSourceCode } from '@candid-leaf/contract';
import {
  Droplets,
  Eye,
  Footprints,
  Hand,
  Scissors,
  Shovel,
  SprayCan,
  ThermometerSun,
  Wheat,
  type LucideIcon,
  FlaskConical,
  Flower,
  Spool,
  Sprout,
  ShoppingBasket,
} from 'lucide-react';

/** One icon for each kind of task, wherever it is told. */
export const TASK_ICONS: Record<TaskSourceCode, LucideIcon> = {
  water: Droplets,
  remedy: Hand,
  'look-again': Eye,
  protect: ThermometerSun,
  feed: Wheat,
  cut: Scissors,
  tie: Spool,
  tap: Flower,
  spray: SprayCan,
  soil: Shovel,
  trial: FlaskConical,
  raise: Sprout,
  pick: ShoppingBasket,
  round: Footprints,
};
