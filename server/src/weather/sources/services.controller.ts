import { Controller, Get, HttpException, HttpStatus, Inject, Query } from '@nestjs/common';
import { ClimateAt, type FrostsDto, type WeatherServiceDto } from '@candid-leaf/contract';
import { measuredClimate } from '@candid-leaf/core/climate';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { AccountId } from '../../accounts/session.js';
import { CONFIG, type Config } from '../../config.js';
import { allowedServices } from './services.js';
import { NoWeather, WeatherSource } from './source.js';

/** Places an account may ask about in an hour. */
const PLACES_AN_HOUR = 30;

/** Routes of the weather services, before there is a garden. */
@Controller('api/weather')
export class ServicesController {
  private readonly limit = new RateLimiterMemory({ points: PLACES_AN_HOUR, duration: 3600 });

  constructor(
    private readonly source: WeatherSource,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Get('services')
  services(): WeatherServiceDto[] {
    return allowedServices(this.config);
  }

  /** The usual frosts of a place, from ten years of days; `frosts: null` where no service knows them. */
  @Get('frosts')
  async frosts(@AccountId() accountId: string, @Query() at: ClimateAt): Promise<{ frosts: FrostsDto | null }> {
    await this.limit.consume(accountId).catch(() => {
      throw new HttpException('That is enough places for this hour.', HttpStatus.TOO_MANY_REQUESTS);
    });
    const { service, ...place } = at;
    try {
      const days = await this.source.tenYears({ ...place, weatherService: service });
      const climate = days && measuredClimate(days, place.latitude);
      if (!climate) return { frosts: null };
      const { lastFrost, firstFrost, years } = climate;
      return { frosts: { lastFrost, firstFrost, years } };
    } catch (error) {
      if (error instanceof NoWeather) return { frosts: null };
      throw error;
    }
  }
}
