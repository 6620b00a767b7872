# Shared by all scripts in this folder: settings, the JDK, packages, processes.
set -euo pipefail

RUN="$PWD/.run"
DB_PORT="${ARBOR_DB_PORT:-3307}"
SHOP_PORT="${ARBOR_SHOP_PORT:-8090}"
PORT="${ARBOR_PORT:-8080}"
mkdir -p "$RUN"
chmod 700 "$RUN"

fail() {
  echo "arbor: $*" >&2
  exit 1
}

# Installs Debian packages unless a command of theirs is there already: need COMMAND PACKAGE...
need() {
  local command="$1"
  shift
  command -v "$command" >/dev/null && return
  [ "$(id -u)" = 0 ] || fail "'$command' is missing; run: sudo apt-get install -y $*"
  echo "installing $* ..."
  [ -n "${APT_FRESH:-}" ] || apt-get update -qq >/dev/null
  APT_FRESH=yes
  DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null
}

# Puts the newest JDK of this machine first; 25 is the least.
choose_jdk() {
  local best=0 home version
  for home in /usr/lib/jvm/*/; do
    [ -x "$home/bin/javac" ] && [ -f "$home/release" ] || continue
    version=$(sed -n 's/^JAVA_VERSION="\([0-9]*\).*/\1/p' "$home/release")
    if [ "${version:-0}" -gt "$best" ]; then
      best=$version
      export JAVA_HOME="${home%/}"
    fi
  done
  [ "$best" -ge 25 ] || fail "a JDK 25 is needed under /usr/lib/jvm; install temurin-25-jdk or openjdk-25-jdk"
  export PATH="$JAVA_HOME/bin:$PATH"
}

need_build_tools() {
  choose_jdk
  need mvn maven
  need node nodejs
  need npm npm
}

need_database() {
  need mariadbd mariadb-server-core
  need mariadb mariadb-client
}

# One node with replication switched on, for tests.
need_galera() {
  [ -f /usr/lib/galera/libgalera_smm.so ] && return
  need no-such-command-galera galera-4
}

need_browser() {
  need chromium chromium fonts-dejavu-core
}

# What a process of ours has in its command line, so that a pid that went to another is not ours.
process_mark() {
  case "$1" in
    db) echo "--datadir=$RUN/db" ;;
    shop) echo "$RUN/shop" ;;
    server) echo "arbor-line.jar" ;;
  esac
}

# True where the process of a pid file is alive and still ours: alive NAME
alive() {
  local pid
  [ -f "$RUN/$1.pid" ] || return 1
  pid=$(cat "$RUN/$1.pid")
  [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null || return 1
  tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF -- "$(process_mark "$1")"
}

# True where nobody listens on a port; a process that is just ending is waited for: port_free PORT
port_free() {
  for _ in $(seq 20); do
    (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null || return 0
    sleep 0.1
  done
  return 1
}

# Stops a process by its pid file and waits until it is gone: stop_process NAME
stop_process() {
  local pid
  [ -f "$RUN/$1.pid" ] || return 0
  if ! alive "$1"; then
    rm -f "$RUN/$1.pid"
    return 0
  fi
  pid=$(cat "$RUN/$1.pid")
  kill "$pid" 2>/dev/null || true
  for _ in $(seq 150); do
    kill -0 "$pid" 2>/dev/null || break
    sleep 0.1
  done
  kill -9 "$pid" 2>/dev/null || true
  rm -f "$RUN/$1.pid"
}

# What the database keeps in memory of its pages: an eighth of the machine's, 512 MB at least.
database_buffer() {
  local megabytes
  megabytes=$(awk '/^MemTotal:/ { print int($2 / 1024 / 8) }' /proc/meminfo)
  [ "$megabytes" -gt 512 ] || megabytes=512
  echo "${ARBOR_DB_BUFFER:-${megabytes}M}"
}

db_client() {
  mariadb --defaults-file="$RUN/db.client" "$@"
}

# Long pauses hurt nobody here, throughput is what imports and lists live from.
SERVER_JVM=(-Xmx1g -XX:+UseParallelGC)
