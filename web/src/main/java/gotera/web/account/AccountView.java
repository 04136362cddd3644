package gotera.web.account;

import java.util.UUID;

/**
 * An account as its list shows it.
 *
 * @param id its identifier
 * @param login what is typed to sign in
 * @param name whose it is
 * @param role what it may do
 * @param enabled whether it may sign in
 * @param locked whether wrong passwords lock it now
 * @param version version that was read
 */
record AccountView(
    UUID id, String login, String name, Role role, boolean enabled, boolean locked, int version) {}
