/**
 * Who may enter, how often, for how long; refusals that need neither database nor session.
 *
 * <p>Not here: accounts (account).
 */
@NullMarked
package gotera.web.security;

import org.jspecify.annotations.NullMarked;
