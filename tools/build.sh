# Builds server and stand-ins when sources changed since the last build; source after common.sh.

sources_stamp() {
  find pom.xml core server shop ui \( -name node_modules -o -name target -o -name build \
    -o -name .svelte-kit -o -path '*/src/test' -o -name schema.d.ts \) -prune -o \
    -type f -printf '%p %T@ %s\n' | sort | sha256sum
}

build() {
  local stamp
  stamp=$(sources_stamp)
  if [ -f "$RUN/built" ] && [ "$(cat "$RUN/built")" = "$stamp" ]; then
    return
  fi
  need_build_tools
  echo "building (a few minutes the first time) ..."
  mvn -q -B -ntp -DskipTests -Dspotless.check.skip=true -pl server,shop -am package \
    >"$RUN/build.log" 2>&1 || { tail -n 40 "$RUN/build.log" >&2; fail "the build failed; see .run/build.log"; }
  rm -rf "$RUN/app" "$RUN/app.aot"
  java -Djarmode=tools -jar server/target/arbor-line.jar extract --destination "$RUN/app" >/dev/null
  stamp=$(sources_stamp)
  echo "$stamp" >"$RUN/built"
}

server_environment() {
  export ARBOR_DB_URL="jdbc:mariadb://127.0.0.1:$DB_PORT/arbor?useBulkStmts=true&timezone=UTC"
  export ARBOR_DB_USER=arbor ARBOR_DB_PASSWORD
  ARBOR_DB_PASSWORD=$(database_password)
  export ARBOR_PORT="$PORT" ARBOR_SHOP_URL="http://127.0.0.1:$SHOP_PORT"
  export ARBOR_SHOP_NODES="opc.tcp://127.0.0.1:$((SHOP_PORT + 1))/m3"
}

# Records the classes that a start loads, so that later starts take seconds.
train() {
  [ -f "$RUN/app.aot" ] && return
  echo "preparing fast starts ..."
  (cd "$RUN/app" && java "${SERVER_JVM[@]}" -XX:AOTCacheOutput="$RUN/app.aot" -Dspring.context.exit=onRefresh \
    -jar arbor-line.jar) >"$RUN/train.log" 2>&1 || rm -f "$RUN/app.aot"
}
