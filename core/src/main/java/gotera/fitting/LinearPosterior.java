package gotera.fitting;

/**
 * Exact posterior moments of the coefficients of a linear design, and the evidence for it.
 *
 * @param mean posterior means of the coefficients
 * @param covariance posterior covariance of the coefficients
 * @param logEvidence log probability of the observations, up to a constant common to all designs of
 *     the same observations
 */
public record LinearPosterior(double[] mean, double[][] covariance, double logEvidence) {}
