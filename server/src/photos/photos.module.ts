import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { PeopleModule } from '../people/people.module.js';
import { PhotosController } from './photos.controller.js';
import { PhotosService } from './photos.service.js';

/** Photos and where their pictures are stored. */
@Module({
  imports: [GardensModule, PeopleModule],
  controllers: [PhotosController],
  providers: [PhotosService],
  exports: [PhotosService],
})
export class PhotosModule {}
