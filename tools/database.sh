# Starts the private MariaDB of this checkout on loopback; source after common.sh.

database_password() {
  if [ ! -f "$RUN/db.password" ]; then
    (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=' >"$RUN/db.password")
  fi
  cat "$RUN/db.password"
}

start_database() {
  need_database
  alive db && return
  port_free "$DB_PORT" || fail "port $DB_PORT is taken; set ARBOR_DB_PORT to a free one"
  if [ ! -d "$RUN/db/mysql" ]; then
    mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$RUN/db" \
      --auth-root-authentication-method=normal --skip-test-db >"$RUN/db-install.log" 2>&1 ||
      fail "the database could not be set up; see .run/db-install.log"
  fi
  nohup mariadbd --no-defaults --user="$(id -un)" --datadir="$RUN/db" --bind-address=127.0.0.1 \
    --port="$DB_PORT" --socket="$RUN/db.sock" --pid-file="$RUN/db.pid" \
    --character-set-server=utf8mb4 --innodb-buffer-pool-size="${ARBOR_DB_BUFFER:-512M}" \
    --innodb-log-file-size=256M --max-allowed-packet=64M >"$RUN/db.log" 2>&1 </dev/null &
  for _ in $(seq 300); do
    db_client -e 'select 1' >/dev/null 2>&1 && break
    sleep 0.1
  done
  db_client <<END || fail "the database does not answer; see .run/db.log"
create database if not exists arbor character set utf8mb4;
create user if not exists arbor@127.0.0.1 identified by '$(database_password)';
alter user arbor@127.0.0.1 identified by '$(database_password)';
grant all on arbor.* to arbor@127.0.0.1;
END
}
