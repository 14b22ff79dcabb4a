import { Module } from '@nestjs/common';
import { TownsController } from './towns.controller.js';

@Module({ controllers: [TownsController] })
export class GazetteerModule {}
