# The launcher's own functions, on processes that do nothing: which of them are started again after any of them was killed.
# Arguments: the launcher, and a folder, whose file "begun" gets a line for each process that is started.
set -euo pipefail
launcher=$1
source <(sed '/^command=/,$d' "$launcher")
APP_HOME=$2 HEAP=1m MOST_ENDS=10000
cd "$APP_HOME"
begun() { say "$1 $2" >>begun; }
begin_database() { child sleep 600 & DATABASE=$! DATABASE_BEGUN=$SECONDS; sleep 0.1; begun database "$DATABASE"; }
begin_standin() { child sleep 600 & STANDIN=$!; begun standin "$STANDIN"; }
begin_balancer() { child sleep 600 & BALANCER=$!; begun balancer "$BALANCER"; }
begin_application() {
  child sleep 600 & APPS[$1]=$! APPS_BEGUN[$1]=$SECONDS
  begun "application$1" "${APPS[$1]}"
}
trap 'kill $(jobs -p) 2>/dev/null || true' EXIT
trap 'exit 0' INT TERM
begin_database; begin_standin "$APP_HOME"; begin_balancer
for node in 0 1; do PORTS[$node]=$node; begin_application "$node"; done
keep_running
