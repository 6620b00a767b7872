# Feeds the readers with what their corpus grows into, guided by coverage: a minute each, or of one.
source "$(dirname "$0")/common.sh"
choose_jdk
readers=(csv table xlsx json jsonList xmlList text p21 properties solid mtconnect assets formula)
[ $# -gt 0 ] && readers=("$1")
minutes="${2:-1}"
mvn -q -B -ntp install -N -DskipTests
for reader in "${readers[@]}"; do
  for ((minute = 1; minute <= minutes; minute++)); do
    JAZZER_FUZZ=1 mvn -B -ntp test -pl core -Dspotless.check.skip=true \
      -Dtest="ReaderFuzzTest#$reader" -Dsurefire.failIfNoSpecifiedTests=false > "$RUN/fuzz.log" 2>&1 ||
      { grep -E "ERROR|Caused by|== Java" "$RUN/fuzz.log" | head -20; fail "$reader: see $RUN/fuzz.log"; }
    runs=$(grep -oE "Done [0-9]+ runs" "$RUN/fuzz.log" | tail -1)
    echo "$reader: ${runs:-no run}, no fault"
  done
done
