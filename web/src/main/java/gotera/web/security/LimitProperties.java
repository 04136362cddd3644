package gotera.web.security;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How much one sender may do in a minute (our judgement, untested).
 *
 * @param signInsPerMinute tries to sign in, to make the first account or to open a customer's link,
 *     from one address
 * @param entriesPerMinute entries of one account
 * @param uploadsPerMinute files of one account, and looks at joints, which may bring a photograph
 * @param batchesPerMinute batches of readings that gauges send from one address
 */
@ConfigurationProperties("gotera.limits")
record LimitProperties(
    int signInsPerMinute, int entriesPerMinute, int uploadsPerMinute, int batchesPerMinute) {}
