import { applyDecorators } from './decorators.js';
import { IsEmail, IsOptional, IsString, Matches, MaxLength, MinLength } from 'class-validator';

const LONGEST_PASSWORD = 200;

/** A password that somebody chooses. */
const IsNewPassword = (): PropertyDecorator =>
  applyDecorators(
    IsString(),
    MinLength(10, { message: 'must be 10 characters or more' }),
    Matches(/\S/, { message: 'must not be only spaces' }),
    MaxLength(LONGEST_PASSWORD),
  );
/** A password as somebody gives it to come in. */
const IsPassword = (): PropertyDecorator =>
  applyDecorators(IsString(), MaxLength(LONGEST_PASSWORD), MinLength(1, { message: 'must not be empty' }));
/** The secret of a link: letters and digits that we made. */
const IsSecret = (): PropertyDecorator =>
  applyDecorators(
    IsString(),
    Matches(/^[\w-]{43}$/, { message: 'is incomplete: open the link exactly as it was sent' }),
  );

export class SignIn {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;

  @IsPassword()
  password: string;
}

export class SignUp {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;

  @IsNewPassword()
  password: string;

  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  /** where only those who are asked may come in: the secret of their invitation */
  @IsOptional()
  @IsSecret()
  invitation?: string;
}

export class PasswordChange {
  @IsPassword()
  old: string;

  @IsNewPassword()
  password: string;
}

export class PasswordForgotten {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;
}

export class PasswordReset {
  @IsSecret()
  secret: string;

  @IsNewPassword()
  password: string;
}

/** What cannot be taken back is asked for with the password. */
export class PasswordOnly {
  @IsPassword()
  password: string;
}

export interface Me {
  id: string;
  email: string;
  name: string;
  /** it asked to be deleted, and is on this moment; null: it stays */
  leavingAt: string | null;
}

/** What is open to whoever is not signed in. */
export interface Entry {
  /** new accounts may be made by anybody */
  registration: boolean;
  /** mail is sent from here, so a password can be asked for anew */
  mail: boolean;
  /** the made-up garden that everybody with an account may look at */
  demo: string | null;
}
