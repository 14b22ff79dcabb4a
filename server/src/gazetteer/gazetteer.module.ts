import { Module } from '@nestjs/common';
import { TownsController } from './towns.controller.js';

/** The offline list of towns. */
@Module({ controllers: [TownsController] })
export class GazetteerModule {}
