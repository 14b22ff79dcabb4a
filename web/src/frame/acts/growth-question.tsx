import type { GrowthDto, PlantDto } from '@candid-leaf/contract';
import type { GrowthSeen, Stage } from '@candid-leaf/core/records';
import { useGarden } from '../../lib/garden-context';
import { useRecordOnce } from './use-record-once';
import { Button } from '../../ui/button';

type Answer = Omit<GrowthSeen, 'date'>;

interface Question {
  text: string;
  answers: readonly (readonly [label: string, answer: Answer])[];
}

/** What is asked about a milestone: whether it is reached, and if not, whether it is near. */
const OF_STAGE: Partial<Record<Stage, Question>> = {
  vegetative: {
    text: 'Has it made new leaves since planting?',
    answers: [
      ['Not yet', { stage: 'establishing' }],
      ['Yes', { stage: 'vegetative', orLater: true }],
    ],
  },
  flowering: {
    text: 'First flowers open?',
    answers: [
      ['No buds yet', { stage: 'vegetative', soon: false }],
      ['Buds', { stage: 'vegetative', soon: true }],
      ['Yes', { stage: 'flowering', orLater: true }],
    ],
  },
  fruiting: {
    text: 'Fruit set?',
    answers: [
      ['Not yet', { stage: 'flowering' }],
      ['Yes', { stage: 'fruiting', orLater: true }],
    ],
  },
  ripening: {
    text: 'Is fruit colouring?',
    answers: [
      ['Small and green', { stage: 'fruiting', soon: false }],
      ['Full size, green', { stage: 'fruiting', soon: true }],
      ['Yes', { stage: 'ripening', orLater: true }],
    ],
  },
};

/** Heights as people point at them, m (judgement: an adult). */
const HEIGHT: Question = {
  text: 'How tall is it?',
  answers: [
    ['Hand high', { heightM: 0.2, rough: true }],
    ['Knee', { heightM: 0.5, rough: true }],
    ['Hip', { heightM: 0.95, rough: true }],
    ['Shoulder', { heightM: 1.4, rough: true }],
    ['Over my head', { heightM: 1.9, rough: true }],
  ],
};

/** Returns what to ask about the plant's growth; null if its stage and height are clear. */
export function questionOf(growth: GrowthDto): Question | null {
  const stage = growth.unsure && OF_STAGE[growth.unsure.stage];
  return stage ?? (growth.askHeight ? HEIGHT : null);
}

interface Props {
  plant: PlantDto;
  growth: GrowthDto;
  /** asked on a page about more than this plant */
  among?: boolean;
}

/** One question about the plant's growth, answered with one tap; nothing if all is clear. */
export function GrowthQuestion({ plant, growth, among = false }: Props) {
  const garden = useGarden();
  const record = useRecordOnce(garden.id);
  const question = questionOf(growth);
  if (!question) return null;
  const answer = (label: string, data: Answer) =>
    record.write(
      { type: 'growth', plantId: plant.id, data: { date: garden.today, ...data } },
      `${plant.name}: ${label.toLowerCase()}. Saved.`,
    );
  return (
    <div
      role="group"
      aria-label={among ? `${plant.name}: ${question.text}` : question.text}
      className="mt-3 rounded-xl bg-leafwash p-3"
    >
      {among && <p className="text-sm text-soft">While you are at {plant.name}</p>}
      <p className="font-semibold">{question.text}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {question.answers.map(([label, data]) => (
          <Button key={label} onClick={() => answer(label, data)} disabled={record.isPending}>
            {label}
          </Button>
        ))}
      </div>
    </div>
  );
}
