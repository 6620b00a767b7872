# Changes the code of a package of core bit by bit and prints how many of the changes a test
# notices; fails under 85 of 100. Without a package: all of core, package by package.
source tools/common.sh
need_build_tools

packages() {
  (cd core/src/main/java/arborline/core && find . -name '*.java' ! -name package-info.java -printf '%h\n') |
    sort -u | sed 's#^\./##; s#/#.#g; /^\.$/d'
}

# One package, without those below it: the pattern ends in a class name.
mutate() {
  local log="$RUN/mutants.log"
  mvn -B -ntp -q -Dspotless.check.skip=true -pl core test-compile \
    org.pitest:pitest-maven:mutationCoverage \
    "-Dmutants.classes=~arborline\\.core\\.${1//./\\.}\\.[A-Z].*" "-Dmutants.threads=$(nproc)" \
    -DfailWhenNoMutations=false >"$log" 2>&1
  local end=$?
  local report=core/target/pit-reports/mutations.xml
  if [ ! -f "$report" ]; then
    cat "$log" >&2
    fail "no report; see above"
  fi
  local all killed
  all=$(grep -c '<mutation ' "$report" || true)
  killed=$(grep -c "detected='true'" "$report" || true)
  printf '%-24s %5d changes, %5d noticed, %3d %%\n' "$1" "$all" "$killed" \
    "$((all == 0 ? 100 : 100 * killed / all))"
  return $end
}

mkdir -p "$RUN"
short=0
for package in ${1:-$(packages)}; do
  rm -rf core/target/pit-reports
  mutate "$package" || short=1
done
exit "$short"
