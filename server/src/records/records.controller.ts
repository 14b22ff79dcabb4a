import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Query } from '@nestjs/common';
import { IsId, RecordInput, SeveralRecords, type RecordDto, type SeveralAnswers } from '@candid-leaf/contract';
import { RECORD_TYPE_CODES, type RecordType } from '@candid-leaf/core/records';
import { IsIn, IsOptional } from 'class-validator';
import { AccountId, Needs } from '../accounts/session.js';
import { RecordsService } from './records.service.js';

class RecordFilter {
  @IsOptional()
  @IsId()
  plantId?: string;

  @IsOptional()
  @IsId()
  placeId?: string;

  @IsOptional()
  @IsIn(RECORD_TYPE_CODES)
  type?: RecordType;
}

/** Routes of records. */
@Controller('api/gardens/:gardenId/records')
export class RecordsController {
  constructor(private readonly records: RecordsService) {}

  @Get()
  list(@Param('gardenId') gardenId: string, @Query() filter: RecordFilter): Promise<RecordDto[]> {
    return this.records.list(gardenId, filter);
  }

  @Needs('record')
  @Put()
  put(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Body() body: RecordInput,
  ): Promise<RecordDto> {
    return this.records.put(gardenId, accountId, body);
  }

  @Needs('record')
  @Put('several')
  putSeveral(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Body() body: SeveralRecords,
  ): Promise<SeveralAnswers> {
    return this.records.putSeveral(gardenId, accountId, body.records);
  }

  @Needs('record')
  @Delete(':recordId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('recordId') recordId: string): Promise<void> {
    return this.records.setDeleted(gardenId, recordId, true);
  }

  @Needs('record')
  @Post(':recordId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('recordId') recordId: string): Promise<void> {
    return this.records.setDeleted(gardenId, recordId, false);
  }
}
