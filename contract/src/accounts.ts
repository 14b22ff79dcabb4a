import { OneLine } from '@candid-leaf/core/records';
import { applyDecorators } from './decorators.js';
import { IsEmail, IsOptional, IsString, Matches, MaxLength, MinLength } from 'class-validator';

const LONGEST_PASSWORD = 200;

/** A new password. */
const IsNewPassword = (): PropertyDecorator =>
  applyDecorators(
    IsString(),
    MinLength(10, { message: 'must be 10 characters or more' }),
    Matches(/\S/, { message: 'must not be only spaces' }),
    MaxLength(LONGEST_PASSWORD),
  );
/** A password typed to sign in. */
const IsPassword = (): PropertyDecorator =>
  applyDecorators(IsString(), MaxLength(LONGEST_PASSWORD), MinLength(1, { message: 'must not be empty' }));
/** The secret of a link: letters and digits we generated. */
const IsSecret = (): PropertyDecorator =>
  applyDecorators(
    IsString(),
    Matches(/^[\w-]{43}$/, { message: 'is incomplete: open the link exactly as it was sent' }),
  );

/** Signing in. */
export class SignIn {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;

  @IsPassword()
  password: string;
}

/** Creating an account. */
export class SignUp {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;

  @IsNewPassword()
  password: string;

  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  /** the secret of their invitation, if registration is by invitation only */
  @IsOptional()
  @IsSecret()
  invitation?: string;
}

/** Changing the password while signed in. */
export class PasswordChange {
  @IsPassword()
  old: string;

  @IsNewPassword()
  password: string;
}

/** Asking for a link to set a new password. */
export class PasswordForgotten {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;
}

/** Setting a new password with the secret from the mail. */
export class PasswordReset {
  @IsSecret()
  secret: string;

  @IsNewPassword()
  password: string;
}

/** The password, asked again before an irreversible act. */
export class PasswordOnly {
  @IsPassword()
  password: string;
}

/** The signed-in account. */
export interface Me {
  id: string;
  email: string;
  name: string;
  /** when the account will be deleted, if its owner asked; null: it stays */
  leavingAt: string | null;
}

/** What a signed-out visitor may do. */
export interface Entry {
  /** anyone may create an account */
  registration: boolean;
  /** mail is sent from here, so a password can be reset */
  mail: boolean;
  /** the demo garden that anyone may look at */
  demo: string | null;
}
