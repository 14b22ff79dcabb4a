import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { InvitationInput, RoleChange, type InvitationView, type NewLink, type PeopleDto } from '@candid-leaf/contract';
import { AccountId, Needs, PeopleOnly, Public } from '../accounts/session.js';
import { PeopleService } from './people.service.js';

/** Routes of members, invitations and roles. */
@Controller('api')
export class PeopleController {
  constructor(private readonly people: PeopleService) {}

  @Get('gardens/:gardenId/people')
  list(@Param('gardenId') gardenId: string): Promise<PeopleDto> {
    return this.people.list(gardenId);
  }

  @PeopleOnly()
  @Post('gardens/:gardenId/invitations')
  @HttpCode(200)
  invite(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Body() body: InvitationInput,
  ): Promise<NewLink> {
    return this.people.invite(gardenId, accountId, body);
  }

  @PeopleOnly()
  @Delete('gardens/:gardenId/invitations/:invitationId')
  @HttpCode(204)
  takeBack(@Param('gardenId') gardenId: string, @Param('invitationId') id: string): Promise<void> {
    return this.people.takeBack(gardenId, id);
  }

  @PeopleOnly()
  @Put('gardens/:gardenId/people/:memberId')
  @HttpCode(204)
  setRole(
    @Param('gardenId') gardenId: string,
    @Param('memberId') memberId: string,
    @Body() body: RoleChange,
  ): Promise<void> {
    return this.people.setRole(gardenId, memberId, body.role);
  }

  @PeopleOnly()
  @Delete('gardens/:gardenId/people/:memberId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('memberId') memberId: string): Promise<void> {
    return this.people.remove(gardenId, memberId);
  }

  /** Even viewers may leave. */
  @PeopleOnly()
  @Needs('look')
  @Post('gardens/:gardenId/leave')
  @HttpCode(204)
  leave(@Param('gardenId') gardenId: string, @AccountId() accountId: string): Promise<void> {
    return this.people.remove(gardenId, accountId);
  }

  @Public()
  @Get('invitations/:secret')
  read(@Param('secret') secret: string): Promise<InvitationView> {
    return this.people.read(secret);
  }

  @Post('invitations/:secret/accept')
  @HttpCode(200)
  accept(@Param('secret') secret: string, @AccountId() accountId: string): Promise<{ gardenId: string }> {
    return this.people.accept(secret, accountId);
  }
}
