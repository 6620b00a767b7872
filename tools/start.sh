# Builds what changed and starts database, stand-ins and server.
source tools/common.sh
source tools/database.sh
source tools/build.sh

demo="$PWD/demo"
while [ $# -gt 0 ]; do
  case "$1" in
    --port) PORT="$2"; shift 2 ;;
    --no-demo) demo=""; shift ;;
    *) fail "start takes --port N and --no-demo, not '$1'" ;;
  esac
done
export ARBOR_DEMO="$demo"
export ARBOR_WATCHED="${ARBOR_WATCHED:-$RUN/watched}"
export ARBOR_CONTROL_FOLDERS="${ARBOR_CONTROL_FOLDERS:-$RUN/shop/folders}"
export ARBOR_OUTLETS="${ARBOR_OUTLETS:-$RUN/outlets}"

# How many accounts there are; 0 where there is no schema yet.
accounts() {
  db_client -N arbor -e 'select count(*) from account' 2>/dev/null || echo 0
}

# Why the server would not start, where it says so in words.
why_stopped() {
  tail -c "+$((logged + 1))" "$RUN/server.log" | grep -h 'arbor line does not start' | tail -n 1 | sed 's/.*arbor line does/arbor line does/' |
    grep . || tail -n 30 "$RUN/server.log" "$RUN/server.out"
}

# The simulated controls and services.
start_shop() {
  alive shop && return
  port_free "$SHOP_PORT" || fail "port $SHOP_PORT is taken; set ARBOR_SHOP_PORT to a free one"
  nohup java -Xmx128m -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -jar shop/target/arbor-shop-exec.jar \
    "$SHOP_PORT" "$RUN/shop" demo/vendors >"$RUN/shop.log" 2>&1 </dev/null &
  echo $! >"$RUN/shop.pid"
}

choose_jdk
need curl curl

if alive server; then
  start_database
  start_shop
  echo "Arbor Line is running already; './arbor stop' stops it"
  exit 0
fi
port_free "$PORT" || fail "port $PORT is taken; try ./arbor start --port 8081"
build
start_database
server_environment
if [ -z "$demo" ] && [ "$(accounts)" = 0 ]; then
  ARBOR_FIRST_PASSWORD=$(head -c 12 /dev/urandom | base64 | tr '/+' '-_')
  export ARBOR_FIRST_PASSWORD
fi
train

start_shop

aot=()
[ -f "$RUN/app.aot" ] && aot=(-XX:AOTCache="$RUN/app.aot")
cd "$RUN/app"
(umask 077 && : >>"$RUN/server.log" && : >"$RUN/server.out")
logged=$(wc -c <"$RUN/server.log")
ARBOR_LOG="$RUN/server.log" nohup java "${aot[@]}" "${SERVER_JVM[@]}" -jar arbor-line.jar \
  >"$RUN/server.out" 2>&1 </dev/null &
echo $! >"$RUN/server.pid"
cd - >/dev/null

for _ in $(seq 600); do
  curl -sf "http://127.0.0.1:$PORT/actuator/health" >/dev/null 2>&1 && break
  alive server || { why_stopped >&2; fail "the server stopped; see .run/server.log"; }
  sleep 0.1
done
curl -sf "http://127.0.0.1:$PORT/actuator/health" >/dev/null || fail "the server does not answer; see .run/server.log"
echo "Arbor Line is ready at http://127.0.0.1:$PORT"
if [ -n "$demo" ]; then
  echo "sign in as lead, programmer, toolroom, operator or visitor with the password tidewrack, unless you gave another"
elif [ -n "${ARBOR_FIRST_PASSWORD:-}" ]; then
  echo "sign in as lead with the password $ARBOR_FIRST_PASSWORD"
  echo "it is shown only now; ./arbor password lead makes a new one"
fi
