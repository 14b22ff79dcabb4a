import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { GardensController } from './gardens.controller.js';
import { GardensService } from './gardens.service.js';
import { MembershipEntity } from './membership.entity.js';

/** Gardens and who belongs to them. */
@Module({
  imports: [TypeOrmModule.forFeature([MembershipEntity])],
  controllers: [GardensController],
  providers: [GardensService],
  exports: [GardensService, TypeOrmModule],
})
export class GardensModule {}
