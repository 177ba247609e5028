#!/bin/sh
# Run once by the image of PostgreSQL, on an empty volume.
set -e
psql -v ON_ERROR_STOP=1 -U postgres -v owner_word="'$OWNER_WORD'" -v app_word="'$APP_WORD'" -v backup_word="'$BACKUP_WORD'" -f /roles.sql
