import { Controller, Get, Header, HttpCode, Param, Post, Query, Req, UnauthorizedException } from '@nestjs/common';
import type { Request } from 'express';
import { Public } from '../../accounts/session.js';
import { readWhole } from '../../shared/read-whole.js';
import { OwnStations } from './own-stations.service.js';
import { UploadLimits } from './upload-limits.js';
import { uploadFrom } from './upload.js';

/** Longest form of a gateway, bytes: a hundred sensors take less. */
const MOST_BYTES = 10_000;

/**
 * Where stations send by themselves: the common upload of consumer stations by GET, and the form of gateways by POST. They
 * have no session, only the key of their garden.
 */
@Controller()
export class UploadsController {
  constructor(
    private readonly stations: OwnStations,
    private readonly limits: UploadLimits,
  ) {}

  @Public()
  @Get('weatherstation/updateweatherstation.php')
  @Header('content-type', 'text/plain; charset=utf-8')
  async consumer(@Query() query: Record<string, unknown>, @Req() request: Request): Promise<string> {
    const fields = new URLSearchParams();
    for (const [name, value] of Object.entries(query)) if (typeof value === 'string') fields.set(name, value);
    await this.take(fields.get('PASSWORD') ?? '', fields, request);
    return 'success\n';
  }

  @Public()
  @Post('api/stations/:key/report')
  @HttpCode(200)
  @Header('content-type', 'text/plain; charset=utf-8')
  async gateway(@Param('key') key: string, @Req() request: Request): Promise<string> {
    const body = await readWhole(request, MOST_BYTES, 'The report');
    await this.take(key, new URLSearchParams(body.toString('utf8')), request);
    return 'success\n';
  }

  private async take(key: string, fields: URLSearchParams, request: Request): Promise<void> {
    const gardenId = await this.limits.pass(key, request.ip ?? '', () => this.stations.gardenBehind(key));
    if (gardenId === null)
      throw new UnauthorizedException('This key is not valid. Copy it from Settings, Weather, Your own station.');
    await this.stations.receive(gardenId, uploadFrom(fields));
  }
}
