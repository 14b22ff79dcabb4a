import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { Workers } from '../shared/workers.js';

const EVERY_MS = 1000;
/** A database silent for this long is away, ms. */
const PATIENCE_MS = 2500;

/** Polls the database once a second so /health answers at once even under load. */
@Injectable()
export class Pulse implements OnModuleInit, OnModuleDestroy {
  private answeredAt = Date.now();
  private failed = false;
  private asking = false;
  private timer: NodeJS.Timeout | null = null;

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly workers: Workers,
  ) {}

  onModuleInit(): void {
    this.timer = setInterval(() => void this.feel(), EVERY_MS);
    this.timer.unref();
  }

  onModuleDestroy(): void {
    if (this.timer) clearInterval(this.timer);
  }

  get databaseAnswers(): boolean {
    return !this.failed && Date.now() - this.answeredAt < EVERY_MS + PATIENCE_MS;
  }

  get ready(): boolean {
    return this.databaseAnswers && this.workers.ready;
  }

  /** Sends one poll; none while another is unanswered. */
  async feel(): Promise<void> {
    if (this.asking) return;
    this.asking = true;
    try {
      await this.db.query('SELECT 1');
      this.answeredAt = Date.now();
      this.failed = false;
    } catch {
      this.failed = true;
    } finally {
      this.asking = false;
    }
  }
}
