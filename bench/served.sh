# Read by the scripts here: an application of its own with the demonstration's data, thrown away afterwards.
#   serve FOLDER   starts it, with the limits on entries lifted; sets port and password
. "$(dirname "${BASH_SOURCE[0]}")/../scripts/common.sh"
served=
serve() {
  served=$1
  "$home/scripts/setup" build >&2
  use_java
  build
  "$home/scripts/database" stop "$served"
  rm -rf "$served"
  trap 'served_stop' EXIT
  "$home/scripts/database" start "$served" >/dev/null
  . "$served/environment"
  port=$(free_port 18080)
  password=for-this-run-only
  GOTERA_DEMO_PASSWORD=$password GOTERA_LIMITS_ENTRIES_PER_MINUTE=10000000 GOTERA_LIMITS_SIGN_INS_PER_MINUTE=100000 SERVER_PORT=$port \
    "$JAVA_HOME/bin/java" ${JAVA_OPTIONS:--XX:+UseSerialGC -Xmx512m} -jar "$(ls "$var"/build/app/gotera-web-*.jar)" \
    >"$served/application.log" 2>&1 &
  server=$!
  local waited=0
  until answers "$port" /actuator/health/readiness; do
    kill -0 $server 2>/dev/null || fail "The application stopped at once; see $served/application.log"
    waited=$((waited + 1))
    [ $waited -lt 1800 ] || fail "The application is not ready after three minutes; see $served/application.log"
    sleep 0.1
  done
}
served_stop() {
  trap - EXIT
  [ -z "${server:-}" ] || { kill "$server" 2>/dev/null && wait "$server" 2>/dev/null; } || true
  [ -z "$served" ] || "$home/scripts/database" stop "$served"
}
load() { "$JAVA_HOME/bin/java" "$home/bench/src/main/java/gotera/bench/Load.java" "$@"; }
