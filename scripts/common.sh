# Read by the other scripts: places, the right Java, and how to say what went wrong.
home=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
var=$home/var

say() { echo "$*" >&2; }
fail() {
  say "gotera: $*"
  exit 1
}

# Java 17 and nothing else, wherever Debian or the machine put it.
use_java() {
  local candidate
  for candidate in "${JAVA_HOME:-/nowhere}" /usr/lib/jvm/java-17-openjdk-* /usr/lib/jvm/*17*; do
    if [ -x "$candidate/bin/java" ] && "$candidate/bin/java" -version 2>&1 | grep -q '"17\.'; then
      export JAVA_HOME=$candidate
      return
    fi
  done
  fail "Java 17 was not found. Run ./gotera setup."
}

# An option nobody knows is said, and never taken for a file or a name.
not_an_option() { # not_an_option WORD COMMAND
  case "$1" in
    -?*) fail "there is no option '$1' here. ./gotera $2 --help says what there is." ;;
  esac
}

answers() { # whether an address on this machine answers with 200: answers PORT PATH
  local status
  { exec 3<>"/dev/tcp/127.0.0.1/$1"; } 2>/dev/null || return 1
  printf 'GET %s HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' "$2" >&3
  IFS= read -r -t 5 status <&3 || status=
  exec 3>&-
  [[ $status == *" 200"* ]]
}

free_port() { # the first port from the one given that nobody listens on
  local port=$1
  while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do
    port=$((port + 1))
  done
  echo "$port"
}

# Reads where the application's database is: the environment's, else the private one's that runs.
use_database() { # use_database [--demo]
  if [ -z "${GOTERA_DATABASE_URL:-}" ]; then
    local kept=$var/workshop-db/environment
    [ "${1:-}" != --demo ] || kept=$var/db/environment
    [ -f "$kept" ] || fail "There is no database yet. Start it first (./gotera start), or add --demo for the demonstration's."
    . "$kept"
  fi
  # one server, or the nodes of a cluster in the order in which they are tried
  local rest=${GOTERA_DATABASE_URL#jdbc:mariadb:}
  rest=${rest#sequential:}
  rest=${rest#loadbalance:}
  [ "$rest" != "$GOTERA_DATABASE_URL" ] && [ "${rest#//}" != "$rest" ] || fail "GOTERA_DATABASE_URL is '$GOTERA_DATABASE_URL'. Expected: jdbc:mariadb://HOST:PORT/NAME"
  rest=${rest#//}
  local places=${rest%%/*} place
  schema=${rest#*/}
  schema=${schema%%\?*}
  # the password goes by a file, never by the command line, where others could read it
  client_settings=$(mktemp)
  trap 'rm -f "$client_settings"' EXIT
  sql() { mariadb --defaults-file="$client_settings" --batch --skip-column-names "$@"; }
  for place in ${places//,/ }; do
    cat >"$client_settings" <<TEXT
[client]
host=${place%%:*}
port=${place##*:}
protocol=tcp
user=${GOTERA_DATABASE_USER:-gotera}
password=${GOTERA_DATABASE_PASSWORD:-}
TEXT
    ! sql -e 'select 1' >/dev/null 2>&1 || return 0
  done
  sql -e 'select 1' >/dev/null || fail "The database does not answer at ${places//,/ or }. Does it run? (./gotera start)"
}

# Whether the server of a database's folder lives: the number in its file may be another process's by now.
database_lives() { # database_lives FOLDER
  local pid
  pid=$(cat "$1/pid" 2>/dev/null) && [ -n "$pid" ] \
    && tr '\0' '\n' 2>/dev/null <"/proc/$pid/cmdline" | grep -qxF -- "--datadir=$1/data"
}

# Keeps a log from growing without end: what is long goes to .1, what was there to .2, and so on to .3.
rotate() { # rotate FILE
  local size
  size=$(stat -c %s "$1" 2>/dev/null) && [ "$size" -gt 20000000 ] || return 0
  [ ! -f "$1.2" ] || mv "$1.2" "$1.3"
  [ ! -f "$1.1" ] || mv "$1.1" "$1.2"
  # whoever writes goes on in the same file
  (umask 077 && cp "$1" "$1.1") && : >"$1"
}

# Builds what is missing or older than its sources: command line and application.
build() {
  local built=$var/build/done
  if [ -f "$built" ] && [ -z "$(find "$home"/pom.xml "$home"/*/pom.xml "$home"/*/src/main "$home"/web/styles \
      -path '*/node_modules' -prune -o -type f -newer "$built" -print -quit)" ]; then
    return
  fi
  say "Building; the first time this fetches libraries and takes a few minutes."
  mkdir -p "$var/build"
  (cd "$home" && mvn -q -B -DskipTests -Dspotless.check.skip package >&2) || fail "The build failed; what went wrong stands above."
  rm -rf "$var/build/app" "$var/build/cli" "$var/build/app.jsa"
  "$JAVA_HOME/bin/java" -Djarmode=tools -jar "$home"/web/target/gotera-web-*.jar extract --destination "$var/build/app" >/dev/null
  mkdir -p "$var/build/cli"
  cp "$home"/cli/target/gotera-cli-*.jar "$var/build/cli/gotera-cli.jar"
  cp -r "$home/cli/target/lib" "$var/build/cli/lib"
  touch "$built"
}

# Runs the command line, built if need be, in the place of the script that calls this.
command_line() { # command_line COMMAND…
  set -euo pipefail
  local purpose=build
  [ ! -f "$var/build/done" ] || purpose=run
  "$home/scripts/setup" "$purpose" >&2
  use_java
  build
  # a short run gains by a quick start, a long one by the better compiler
  local options=(-XX:TieredStopAtLevel=1 -XX:+UseSerialGC -Xmx400m)
  [ "$1" != gauge ] || options=(-XX:TieredStopAtLevel=1 -XX:+UseSerialGC -Xmx64m)
  case "$1" in monte-carlo | early | practice | calibration) options=() ;; esac
  exec "$JAVA_HOME/bin/java" "${options[@]}" -jar "$var/build/cli/gotera-cli.jar" "$@"
}
