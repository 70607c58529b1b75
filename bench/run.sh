#!/usr/bin/env bash
# Prints the measurements of docs/speed.md on this machine. Called by ./kemdro bench, which has built everything.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
classes="bench/target/classes:$(cat bench/target/classpath.txt)"
[ $# -gt 0 ] || # with the compiler the application runs with
java -XX:TieredStopAtLevel=1 -XX:+UseSerialGC -cp "$classes" app.kemdro.bench.PlanningBench

# a house that was made once can be measured again
house=${KEMDRO_BENCH_HOUSE:-}
home=${house:-$(mktemp -d)}
mkdir -p "$home"
port=${KEMDRO_BENCH_PORT:-8097}
server=
trap 'kill "$server" 2>/dev/null || true; [ -n "$house" ] || rm -rf "$home"' EXIT

start() {
  local from
  from=$(date +%s%N)
  local fresh=(); [ "$1" = --fresh ] && fresh=(--fresh)
  KEMDRO_DEMO_HOME="$home" ./kemdro demo "${fresh[@]}" --port "$port" >"$home/log" 2>&1 &
  server=$!
  until curl -sf -o /dev/null "http://127.0.0.1:$port/sign-in"; do
    kill -0 "$server" || { cat "$home/log"; exit 1; }
    sleep 0.1
  done
  echo "start to first page ($1)                 $(( ($(date +%s%N) - from) / 1000000 )) ms"
}

if [ "${1:-}" = live ]; then
  start --fresh
  java -cp "$classes" app.kemdro.bench.LiveBench "http://127.0.0.1:$port"
  exit
fi
if [ "${1:-}" = crash ]; then
  start --fresh
  stop() { pkill -9 -P "$server" 2>/dev/null || true; kill -9 "$server" 2>/dev/null || true; wait "$server" 2>/dev/null || true; }
  java -cp "$classes" app.kemdro.bench.CrashBench "http://127.0.0.1:$port" "$home/acknowledged" make
  for ((k = 1; k <= ${KEMDRO_KILLS:-100}; k++)); do
    java -cp "$classes" app.kemdro.bench.CrashBench "http://127.0.0.1:$port" "$home/acknowledged" &
    presses=$!
    # anywhere between the first press and the last
    sleep "$(awk -v seed="$k" 'BEGIN { srand(seed); printf "%.2f", 2.5 + 3.5 * rand() }')"
    stop
    wait "$presses" 2>/dev/null || true
    start again >/dev/null
    java -cp "$classes" app.kemdro.bench.CrashBench "http://127.0.0.1:$port" "$home/acknowledged" check
  done
  exit
fi
if [ "${1:-}" = house ]; then
  stop() { kill "$server"; wait "$server" 2>/dev/null || true; }
  if [ ! -f "$home/kemdro.mv.db" ]; then
    start --fresh
    java -cp "$classes" app.kemdro.bench.HouseBench "http://127.0.0.1:$port" first
    stop
    java -cp "$classes" app.kemdro.bench.HouseSeed "$home"
  fi
  # with more it would stop; what is left over of it is said at the end
  export JAVA_TOOL_OPTIONS=-Xmx400m
  start again
  java -XX:TieredStopAtLevel=1 -Xmx400m -cp "$classes" app.kemdro.bench.HouseBench "http://127.0.0.1:$port"
  java -XX:TieredStopAtLevel=1 -Xmx400m -cp "$classes" app.kemdro.bench.EditBench "http://127.0.0.1:$port" "${KEMDRO_EDIT_SECONDS:-300}" 100001 200001 300001 400001
  unset JAVA_TOOL_OPTIONS
  jcmd "$(pgrep -f -- "-Dserver.port=$port" | head -1)" GC.run >/dev/null
  jcmd "$(pgrep -f -- "-Dserver.port=$port" | head -1)" GC.heap_info | grep -oE '(def new|tenured) generation .*used [0-9]+K'
  du -h "$home"/kemdro.mv.db | cut -f1
  exit
fi
start --fresh
kill "$server"; wait "$server" 2>/dev/null || true
start again
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 PLAYWRIGHT_NODEJS_PATH=${PLAYWRIGHT_NODEJS_PATH:-$(command -v node)}
java -cp "$classes" app.kemdro.bench.PressBench "http://127.0.0.1:$port"
