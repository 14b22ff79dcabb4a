import { IsIn, IsOptional } from 'class-validator';

/** How a kind stands to something, beside others of its crop. */
export const LEANINGS = ['less', 'usual', 'more'] as const;
export type Leaning = (typeof LEANINGS)[number];

/** What a kind does more or less than others; what is left out nobody knows. */
export class KindLeanings {
  /** sets fruit in heat, and in cold nights */
  @IsOptional()
  @IsIn(LEANINGS)
  heatSet?: Leaning | null;

  @IsOptional()
  @IsIn(LEANINGS)
  coldSet?: Leaning | null;

  /** splits, and gets dark ends */
  @IsOptional()
  @IsIn(LEANINGS)
  splits?: Leaning | null;

  @IsOptional()
  @IsIn(LEANINGS)
  darkEnds?: Leaning | null;
}
