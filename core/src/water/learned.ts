/**
 * What the checks of a bed or pot teach about it: how fast it really uses its water, and how much it really holds.
 * Both are factors on the tables, kept as logarithms beside the balance in one extended Kalman filter (Jazwinski 1970,
 * Stochastic Processes and Filtering Theory): each day adds to what an error of a factor would have done to the store,
 * and each check is compared with the store as modelled. Standard errors and edges: judgement.
 */
export interface Learned {
  /** ln of the factor on the water used, and of the factor on the water held */
  use: number;
  capacity: number;
  /** their variances and covariance */
  uu: number;
  uc: number;
  cc: number;
  /** covariance of each with the share left in the whole root zone, and in the top that a finger feels */
  fu: number;
  fc: number;
  tu: number;
  tc: number;
  /** checks that were compared */
  checks: number;
}
