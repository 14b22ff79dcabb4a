import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { Reckoner } from '../shared/reckoner.js';

const EVERY_MS = 1000;
/** A database that has not answered for so long is away. */
const PATIENCE_MS = 2500;

/**
 * Feels the pulse of what the server stands on, once a second, so that whoever asks for its health is told at once and truly,
 * whatever else goes on.
 */
@Injectable()
export class Pulse implements OnModuleInit, OnModuleDestroy {
  private answeredAt = Date.now();
  private failed = false;
  private asking = false;
  private timer: NodeJS.Timeout | null = null;

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly reckoner: Reckoner,
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
    return this.databaseAnswers && this.reckoner.ready;
  }

  /** One beat; while one is not answered no other is sent. */
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
