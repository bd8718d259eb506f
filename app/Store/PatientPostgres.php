<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Database\Connectors\PostgresConnector;
use PDO;

/** PostgreSQL waits for another's lock as long as SQLite does, and then says so; by itself it waits for ever. */
final class PatientPostgres extends PostgresConnector
{
    /** @param  array<string, mixed>  $config  as in config/database.php; lock_timeout in ms */
    public function connect(array $config): PDO
    {
        $pdo = parent::connect($config);
        $ms = $config['lock_timeout'] ?? 0;
        $pdo->exec(sprintf('set lock_timeout = %d', is_int($ms) ? $ms : 0));

        return $pdo;
    }
}
