import {
  Controller,
  createParamDecorator,
  Delete,
  type ExecutionContext,
  Get,
  Head,
  HttpCode,
  Param,
  Patch,
  Post,
  Put,
  Query,
  Req,
  Res,
} from '@nestjs/common';
import { PHOTO_BYTES, PhotoOf, PhotosWanted, type PhotoDto } from '@candid-leaf/contract';
import type { Request, Response } from 'express';
import { AccountId, Needs, OpenInDemo } from '../accounts/session.js';
import { readWhole } from '../shared/read-whole.js';
import type { Size } from './photo-files.js';
import type { Arriving } from './photo-parts.js';
import { PhotosService } from './photos.service.js';

/** The photo of the address, and whose it is; the guard has made sure of all three. */
const OnItsWay = createParamDecorator((_: unknown, context: ExecutionContext): Arriving => {
  const { params, caller } = context.switchToHttp().getRequest<Request<{ gardenId: string; photoId: string }>>();
  return { gardenId: params.gardenId, photoId: params.photoId, accountId: caller!.accountId };
});

/** Routes of photos. */
@Controller('api/gardens/:gardenId/photos')
export class PhotosController {
  constructor(private readonly photos: PhotosService) {}

  @OpenInDemo()
  @Get()
  list(@Param('gardenId') gardenId: string, @Query() wanted: PhotosWanted): Promise<PhotoDto[]> {
    return this.photos.list(gardenId, wanted);
  }

  /** The body is the picture itself. */
  @Needs('record')
  @Put(':photoId')
  async put(
    @Param('gardenId') gardenId: string,
    @Param('photoId') photoId: string,
    @AccountId() accountId: string,
    @Query() of: PhotoOf,
    @Req() request: Request,
  ): Promise<PhotoDto> {
    return this.photos.put(gardenId, accountId, photoId, of, await readWhole(request, PHOTO_BYTES, 'This photo'));
  }

  /** Begins a photo that is sent in parts (tus protocol). */
  @Needs('record')
  @Post(':photoId/parts')
  begin(@OnItsWay() arriving: Arriving, @Req() request: Request, @Res() response: Response): Promise<void> {
    return this.photos.takePart(arriving, request, response);
  }

  /** How much of it has arrived. */
  @Needs('record')
  @Head(':photoId/parts')
  arrived(@OnItsWay() arriving: Arriving, @Req() request: Request, @Res() response: Response): Promise<void> {
    return this.photos.takePart(arriving, request, response);
  }

  /** The next part. */
  @Needs('record')
  @Patch(':photoId/parts')
  add(@OnItsWay() arriving: Arriving, @Req() request: Request, @Res() response: Response): Promise<void> {
    return this.photos.takePart(arriving, request, response);
  }

  /** Stores a photo whose parts have all arrived. */
  @Needs('record')
  @Put(':photoId/parts')
  putArrived(@OnItsWay() arriving: Arriving, @Query() of: PhotoOf): Promise<PhotoDto> {
    return this.photos.putArrived(arriving, of);
  }

  @OpenInDemo()
  @Get(':photoId/whole')
  picture(
    @Param('gardenId') gardenId: string,
    @Param('photoId') photoId: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(gardenId, photoId, 'whole', request, response);
  }

  @OpenInDemo()
  @Get(':photoId/small')
  small(
    @Param('gardenId') gardenId: string,
    @Param('photoId') photoId: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(gardenId, photoId, 'small', request, response);
  }

  /** The browser caches the picture but asks each time whether it may still show it: signed-out users see nothing. */
  private async send(gardenId: string, id: string, size: Size, request: Request, response: Response): Promise<void> {
    const picture = await this.photos.picture(gardenId, id, size);
    const tag = `"${id}-${size}"`;
    response.set({ 'Cache-Control': 'private, no-cache', ETag: tag, 'Content-Disposition': 'inline' });
    if (request.get('if-none-match') === tag) return void response.status(304).end();
    response.type('image/jpeg').send(picture);
  }

  @Needs('record')
  @Delete(':photoId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('photoId') photoId: string): Promise<void> {
    return this.photos.setDeleted(gardenId, photoId, true);
  }

  @Needs('record')
  @Post(':photoId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('photoId') photoId: string): Promise<void> {
    return this.photos.setDeleted(gardenId, photoId, false);
  }
}
