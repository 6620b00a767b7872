# Stops everything and forgets all data; what was built stays.
bash tools/stop.sh
source tools/common.sh
rm -rf "$RUN/db" "$RUN/shop" "$RUN"/db.*
echo "all data forgotten"
