# Stops server, stand-ins and database of this checkout, by their pids.
source tools/common.sh
for name in server shop db; do
  stop_process "$name"
done
echo "stopped"
