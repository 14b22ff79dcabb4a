import { IsEmail, IsString, Matches, MaxLength, MinLength } from 'class-validator';

export class SignIn {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;

  @IsString()
  @MaxLength(200)
  @MinLength(1, { message: 'must not be empty' })
  password: string;
}

export class SignUp {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @MaxLength(200)
  email: string;

  @IsString()
  @MinLength(10, { message: 'must be 10 characters or more' })
  @Matches(/\S/, { message: 'must hold more than blanks' })
  @MaxLength(200)
  password: string;

  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;
}

export interface Me {
  id: string;
  email: string;
  name: string;
}
