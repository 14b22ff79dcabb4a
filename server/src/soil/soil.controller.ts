import { Controller, Get, Param } from '@nestjs/common';
import type { SoilView } from '@candid-leaf/contract';
import { mulchInWords } from '@candid-leaf/core/soil';
import { Snapshots } from '../assessment/snapshots.service.js';
import { notFound } from '../shared/http-errors.js';
import { mulchOf } from './soil.source.js';

@Controller('api/gardens/:gardenId/places/:placeId/soil')
export class SoilController {
  constructor(private readonly snapshots: Snapshots) {}

  @Get()
  async view(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<SoilView> {
    const s = await this.snapshots.load(gardenId);
    const place = s.places.find((p) => p.id === placeId);
    if (!place) throw notFound('place');
    const mulch = mulchOf(s, place);
    return { mulch, mulchText: mulchInWords(mulch, s.format), grown: place.grown ?? [] };
  }
}
