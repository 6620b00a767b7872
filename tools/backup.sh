# Writes all data to one gzip file while the server may go on working.
source tools/common.sh
file="${1:-}"
[ -n "$file" ] || fail "name the file to write, such as backup.sql.gz"
alive db || fail "the database is not running; ./arbor start first"
mariadb-dump --defaults-file="$RUN/db.client" --single-transaction --quick arbor |
  gzip >"$file.part"
mv "$file.part" "$file"
echo "all data written to $file"
