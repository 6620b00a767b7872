# Replaces all data by a backup; the server is stopped for it.
source tools/common.sh
source tools/database.sh
file="${1:-}"
[ -f "$file" ] || fail "there is no file '$file'"
gzip -t "$file" 2>/dev/null || fail "'$file' is not a gzip file; restore takes what ./arbor backup wrote"
stop_process server
start_database
db_client -e "drop database arbor; create database arbor character set utf8mb4"
gunzip -c "$file" | db_client arbor
echo "data of $file is back; ./arbor start starts the server"
