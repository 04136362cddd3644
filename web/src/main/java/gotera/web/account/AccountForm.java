package gotera.web.account;

import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import java.util.List;
import java.util.Locale;

/**
 * An account as typed.
 *
 * @param login what is typed to sign in
 * @param name whose it is
 * @param role its role, as a word
 * @param password its first or new password; not kept when the form comes back
 * @param code the code of the first account
 * @param enabled whether it may sign in: true or false
 * @param version version that was read
 */
record AccountForm(
    String login,
    String name,
    String role,
    String password,
    String code,
    String enabled,
    String version) {
  static final List<String> ROLES = List.of("technician", "lead", "service-desk");
  static final AccountForm EMPTY = new AccountForm("", "", "", "", "", "true", "0");

  /** Everything absent is empty. */
  AccountForm {
    login = Entry.text(login, 60).toLowerCase(Locale.ROOT);
    name = Entry.text(name, 120);
    role = Entry.choice(role, ROLES);
    password = password == null ? "" : password;
    code = Entry.text(code, 60);
    enabled = Entry.choice(enabled, List.of("true", "false"));
    version = Entry.text(version, 10);
  }

  static AccountForm of(AccountView account) {
    return new AccountForm(
        account.login(),
        account.name(),
        account.role().word(),
        "",
        "",
        Boolean.toString(account.enabled()),
        Integer.toString(account.version()));
  }

  /** The form as it comes back: without password and code. */
  AccountForm withoutSecrets() {
    return new AccountForm(login, name, role, "", "", enabled, version);
  }

  AccountForm withVersion(int newer) {
    return new AccountForm(login, name, role, "", "", enabled, Integer.toString(newer));
  }

  Role roleMeant() {
    return Role.of(role);
  }

  int versionRead() {
    return version.matches("\\d{1,9}") ? Integer.parseInt(version) : -1;
  }

  void check(FieldProblems problems, boolean makesOne) {
    if (makesOne && !login.matches("[a-z0-9][a-z0-9._-]{1,59}")) {
      problems.add("login", "problem.login");
    }
    if (name.isEmpty()) {
      problems.add("name", "problem.name");
    }
    if (makesOne || !password.isEmpty()) {
      PasswordRules.check(problems, "password", password, login, name);
    }
  }
}
