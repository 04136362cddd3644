package gotera.web.security;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where the data lies, and how much is kept free there.
 *
 * @param databaseFolder folder of the database's files; empty where it is on another machine, and
 *     then nothing is measured
 * @param reserveMegabytes below so much free room (MB) nothing is written any more; the database
 *     itself needs some of it to stay in order
 */
@ConfigurationProperties("gotera.disk")
record DiskProperties(String databaseFolder, int reserveMegabytes) {}
