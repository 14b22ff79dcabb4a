import { Injectable, UnauthorizedException, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { InjectRepository } from '@nestjs/typeorm';
import type { Request } from 'express';
import type { Repository } from 'typeorm';
import { isUUID } from 'class-validator';
import { PUBLIC_KEY } from '../accounts/session.js';
import { notFound } from '../shared/http-errors.js';
import { MembershipEntity } from './membership.entity.js';

/**
 * The one guard, on every route. No session: 401. A garden in the path that is not the account's, or any id in the
 * path that is no id: 404, the same as if it did not exist.
 */
@Injectable()
export class GardenGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    @InjectRepository(MembershipEntity) private readonly memberships: Repository<MembershipEntity>,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (this.reflector.getAllAndOverride<boolean>(PUBLIC_KEY, [context.getHandler(), context.getClass()])) return true;
    const request = context.switchToHttp().getRequest<Request>();
    const accountId = request.session.accountId;
    if (!accountId) throw new UnauthorizedException('Sign in first.');
    for (const [name, value] of Object.entries(request.params))
      if (name.endsWith('Id')) {
        if (!isUUID(value)) throw notFound('page');
        // capital letters name the same row
        request.params[name] = String(value).toLowerCase();
      }
    const gardenId = request.params.gardenId as string | undefined;
    if (gardenId && !(await this.memberships.existsBy({ accountId, gardenId }))) throw notFound('garden');
    return true;
  }
}
