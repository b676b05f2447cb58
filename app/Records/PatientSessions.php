<?php

namespace App\Records;

use ErrorException;
use Illuminate\Session\FileSessionHandler;

/**
 * Sessions in files, of which a full or read-only disk takes none away: a session that cannot be written stays as it
 * was, and its page is shown all the same.
 */
final class PatientSessions extends FileSessionHandler
{
    public function write($sessionId, $data): bool
    {
        try {
            // Beside it first: a file cut off half-way would sign its person out.
            $this->files->replace($this->path.'/'.$sessionId, $data);
        } catch (ErrorException) {
            return false;
        }

        return true;
    }
}
