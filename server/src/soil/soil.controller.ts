import { OpenInDemo } from '../accounts/session.js';
import { type Feeding } from '@candid-leaf/core/records';
import { ledger } from '@candid-leaf/core/nutrition';
import { Controller, Get, Param, StreamableFile } from '@nestjs/common';
import type { SoilView } from '@candid-leaf/contract';
import { mulchInWords } from '@candid-leaf/core/soil';
import { Snapshots } from '../assessment/snapshots.service.js';
import { asJson } from '../shared/as-json.js';
import { notFound } from '../shared/http-errors.js';
import { Workers } from '../shared/workers.js';
import { mulchOf } from './soil.source.js';

/** Routes of a bed's soil page. */
@Controller('api/gardens/:gardenId/places/:placeId/soil')
export class SoilController {
  private readonly ofPlace;

  constructor(
    private readonly snapshots: Snapshots,
    workers: Workers,
  ) {
    this.ofPlace = workers.offerReading('soil of a place', (gardenId: string, placeId: string) =>
      this.read(gardenId, placeId),
    );
  }

  @OpenInDemo()
  @Get()
  async view(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<StreamableFile> {
    return asJson(await this.ofPlace(gardenId, placeId));
  }

  private async read(gardenId: string, placeId: string): Promise<SoilView> {
    const s = await this.snapshots.load(gardenId);
    const place = s.places.find((p) => p.id === placeId);
    if (!place) throw notFound('place');
    const mulch = mulchOf(s, place);
    const feeds = s
      .plantsIn(place.id)
      .flatMap((plant) =>
        [...s.recordsOf(plant.id), ...s.recordsOf(place.id)]
          .filter((r) => r.type === 'feeding')
          .map((r) => r.data as Feeding),
      );
    return {
      fed: feeds.length > 0 ? ledger(feeds) : null,
      mulch,
      mulchText: mulchInWords(mulch, s.format),
      grown: place.grown ?? [],
    };
  }
}
