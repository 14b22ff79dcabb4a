import { setImmediate as turn } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import { reportFrom, storyOf, type Balance, type BalanceDay, type CaseFile, type Report } from '@candid-leaf/core';
import type { PlantEntity } from '../plants/plant.entity.js';
import { caseOf, forecastOf } from './case-builder.js';
import type { GardenBook } from './garden-book.js';

export interface Insight {
  caseFile: CaseFile;
  report: Report;
  /** where the balance stands, for planning on from it */
  water: Pick<Balance, 'end' | 'before'> & { ahead: Pick<BalanceDay, 'date' | 'demandL'>[] };
}

/** Gardens whose reports are kept at hand; the oldest goes first. */
const KEPT_GARDENS = 50;
/** A report made anew takes longer than this; one at hand does not. */
const SLICE_MS = 1;

/**
 * Reports worked out when asked, and kept until the garden's revision or day moves on. What is kept can always be
 * worked out again: another process simply does so.
 */
@Injectable()
export class InsightService {
  private readonly kept = new Map<string, { stamp: string; insights: Map<string, Insight> }>();

  /** Makes all reports of a garden, and lets other requests in between one and the next. */
  async prepare(book: GardenBook): Promise<void> {
    for (const plant of book.plants) {
      if (plant.retiredOn) continue;
      const from = performance.now();
      this.of(book, plant);
      if (performance.now() - from > SLICE_MS) await turn();
    }
  }

  of(book: GardenBook, plant: PlantEntity): Insight {
    const stamp = `${book.garden.revision} ${book.today}`;
    let shelf = this.kept.get(book.garden.id);
    if (!shelf || shelf.stamp !== stamp) {
      this.kept.delete(book.garden.id);
      shelf = { stamp, insights: new Map() };
      this.kept.set(book.garden.id, shelf);
      if (this.kept.size > KEPT_GARDENS) this.kept.delete(this.kept.keys().next().value!);
    }
    let insight = shelf.insights.get(plant.id);
    if (!insight) {
      const caseFile = caseOf(book, plant);
      const story = storyOf(caseFile, forecastOf(book), book.garden.units);
      const { end, before } = story.balance;
      const ahead = story.upcoming.ahead.map(({ date, demandL }) => ({ date, demandL }));
      insight = { caseFile, report: reportFrom(story), water: { end, before, ahead } };
      shelf.insights.set(plant.id, insight);
    }
    return insight;
  }
}
