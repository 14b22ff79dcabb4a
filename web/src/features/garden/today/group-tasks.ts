import type { TaskDto, TaskSourceCode } from '@candid-leaf/contract';

/** One line of Today: a task, or several of one kind. */
export type Line =
  | { kind: 'one'; key: string; task: TaskDto }
  /** `together`: one Done ticks them all */
  | { kind: 'group'; key: string; title: string; tasks: TaskDto[]; together: boolean };

interface GroupRule {
  source: TaskSourceCode;
  /** fewer stay single lines */
  least: number;
  together: boolean;
  /** tasks with the same value belong together; null: a line of its own */
  sameAs: (t: TaskDto) => string | null;
  title: (tasks: readonly TaskDto[]) => string;
}

/** What stands after the colon of a title: the bed, or the plants. */
const about = ({ title, where }: TaskDto): string => title.split(': ')[1] ?? where;
const listed = (tasks: readonly TaskDto[]): string => tasks.map(about).join(', ');

const RULES: readonly GroupRule[] = [
  {
    // one line of heat or frost for the whole garden
    source: 'protect',
    least: 2,
    together: true,
    sameAs: (t) => t.title.split(': ')[0] ?? null,
    title: (tasks) => `${tasks[0]!.title.split(': ')[0]!}: ${listed(tasks)}`,
  },
  {
    // blight weather is the same for every bed
    source: 'ahead',
    least: 2,
    together: true,
    sameAs: (t) => t.title.split(': ')[0] ?? null,
    title: (tasks) => `${tasks[0]!.title.split(': ')[0]!}: ${listed(tasks)}`,
  },
  {
    // pots of one place that need the same
    source: 'water',
    least: 2,
    together: true,
    sameAs: (t) => (t.plantId && t.made && !t.amount ? `${t.placeId ?? ''} ${t.dose?.litres ?? ''}` : null),
    title: (tasks) => `Water ${tasks.map((t) => t.title.replace(/^Water /, '')).join(', ')}`,
  },
  {
    source: 'so-far',
    least: 2,
    together: false,
    // a question about one plant is a line of its own
    sameAs: (t) => (t.plantId ? null : ''),
    title: (tasks) => `What was done so far: ${tasks.length} beds`,
  },
  {
    source: 'walk',
    least: 3,
    together: false,
    sameAs: () => '',
    title: (tasks) => `Look over ${tasks.length} beds`,
  },
];

/**
 * Returns the lines of Today: tasks in their order, with those of one kind joined where the first of them stands. What
 * nobody answered for ten days stands in one line at the end.
 */
export function groupTasks(all: readonly TaskDto[]): Line[] {
  const tasks = all.filter((t) => !t.unansweredSince);
  const old = all.filter((t) => t.unansweredSince);
  return [
    ...linesOf(tasks),
    ...(old.length > 0
      ? [{ kind: 'group', key: UNANSWERED, title: oldTitle(old.length), tasks: old, together: false } as const]
      : []),
  ];
}
/** The line of what nobody answered. */
export const UNANSWERED = 'unanswered';
const oldTitle = (n: number): string => `Open for over ten days: ${n} ${n === 1 ? 'task' : 'tasks'}`;

function linesOf(tasks: readonly TaskDto[]): Line[] {
  const ruleOf = (t: TaskDto): { rule: GroupRule; id: string } | null => {
    const rule = RULES.find((r) => r.source === t.source);
    const same = rule?.sameAs(t) ?? null;
    return rule && same !== null ? { rule, id: `${t.source} ${same}` } : null;
  };
  const groups = new Map<string, TaskDto[]>();
  for (const t of tasks) {
    const of = ruleOf(t);
    if (of) groups.set(of.id, [...(groups.get(of.id) ?? []), t]);
  }
  return tasks.flatMap((task): Line[] => {
    const of = ruleOf(task);
    const own = of && groups.get(of.id);
    if (!of || !own || own.length < of.rule.least) return [{ kind: 'one', key: task.key, task }];
    if (own[0] !== task) return [];
    return [{ kind: 'group', key: of.id, title: of.rule.title(own), tasks: own, together: of.rule.together }];
  });
}
