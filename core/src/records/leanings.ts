import { IsIn, IsOptional } from 'class-validator';

/** How a variety compares with others of its crop. */
export const LEANINGS = ['less', 'usual', 'more'] as const;
export type Leaning = (typeof LEANINGS)[number];

/** How a variety differs from others; fields left out are unknown. */
export class KindLeanings {
  /** sets fruit in heat, and on cold nights */
  @IsOptional()
  @IsIn(LEANINGS)
  heatSet?: Leaning | null;

  @IsOptional()
  @IsIn(LEANINGS)
  coldSet?: Leaning | null;

  /** splits, and gets blossom end rot */
  @IsOptional()
  @IsIn(LEANINGS)
  splits?: Leaning | null;

  @IsOptional()
  @IsIn(LEANINGS)
  darkEnds?: Leaning | null;
}
