import { IsIn, IsOptional } from 'class-validator';

/** How a variety compares with others of its crop. */
export const TENDENCIES = ['less', 'usual', 'more'] as const;
/** How a variety compares with others: less, usual or more. */
export type TendencyLevel = (typeof TENDENCIES)[number];

/** How a variety differs from others; fields left out are unknown. */
export class VarietyTendencies {
  /** sets fruit in heat, and on cold nights */
  @IsOptional()
  @IsIn(TENDENCIES)
  heatSet?: TendencyLevel | null;

  @IsOptional()
  @IsIn(TENDENCIES)
  coldSet?: TendencyLevel | null;

  /** splits, and gets blossom end rot */
  @IsOptional()
  @IsIn(TENDENCIES)
  splits?: TendencyLevel | null;

  @IsOptional()
  @IsIn(TENDENCIES)
  darkEnds?: TendencyLevel | null;
}
