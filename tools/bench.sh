# Prints the speed figures, each as a ratio against its floor measured in the same run; all of them,
# or those named: knowledge, files, solids, table, loads, duplicates, readers, import, list.
source tools/common.sh
need_build_tools
need_database
need unzip unzip
mvn -q -B -ntp -Dspotless.check.skip=true -DskipTests -pl bench,server,shop -am package >"$RUN/build.log" 2>&1 ||
  fail "the build failed; see .run/build.log"
libraries=$(unzip -Z1 server/target/arbor-line.jar 'BOOT-INF/lib/*.jar' | sed 's#.*/##' | grep -E '^(jackson|fastcsv|mariadb|fastexcel|opczip|aalto|stax2|commons-compress|commons-io|icu4j|ortools|jna|protobuf)' || true)
rm -rf "$RUN/bench-lib"
mkdir -p "$RUN/bench-lib"
for each in $libraries; do
  unzip -q -j -o server/target/arbor-line.jar "BOOT-INF/lib/$each" -d "$RUN/bench-lib"
done
ARBOR_DB_BUFFER=$(database_buffer)
export ARBOR_DB_BUFFER
exec java "${SERVER_JVM[@]}" -cp "bench/target/classes:core/target/classes:rig/target/classes:$RUN/bench-lib/*" \
  arborline.bench.Bench "$PWD" "$RUN/bench" "$@"
