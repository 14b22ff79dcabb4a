import type { TaskSourceCode } from '@candid-leaf/contract';
import {
  CircleHelp,
  CloudAlert,
  Droplets,
  Eye,
  Footprints,
  Hand,
  ListTodo,
  Scissors,
  Shovel,
  SprayCan,
  ThermometerSun,
  Wheat,
  type LucideIcon,
  FlaskConical,
  Flower,
  Snowflake,
  Bug,
  Spool,
  Sprout,
  ShoppingBasket,
} from 'lucide-react';

const ICONS: Partial<Record<TaskSourceCode, LucideIcon>> = {
  water: Droplets,
  remedy: Hand,
  'look-again': Eye,
  protect: ThermometerSun,
  ahead: CloudAlert,
  feed: Wheat,
  cut: Scissors,
  tie: Spool,
  tap: Flower,
  spray: SprayCan,
  soil: Shovel,
  trial: FlaskConical,
  raise: Sprout,
  settle: Bug,
  weed: Sprout,
  prepare: Shovel,
  pick: ShoppingBasket,
  late: Snowflake,
  walk: Footprints,
  'so-far': CircleHelp,
};

/** Returns the icon of a type of task. */
export const taskIcon = (source: TaskSourceCode): LucideIcon => ICONS[source] ?? ListTodo;
