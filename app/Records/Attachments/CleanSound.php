<?php

namespace App\Records\Attachments;

/** A spoken note as it is kept: known by its content, short, and no film. */
final readonly class CleanSound
{
    /** s that a note may last, and what a recorder adds to that. */
    private const LONGEST = 60.0;

    private const LATE = 2.0;

    private const FORMATS = ['webm', 'matroska', 'ogg', 'mp4', 'quicktime', 'wav'];

    private const MIMES = [
        'webm' => 'audio/webm',
        'matroska' => 'audio/webm',
        'ogg' => 'audio/ogg',
        'mp4' => 'audio/mp4',
        'quicktime' => 'audio/mp4',
        'wav' => 'audio/wav',
    ];

    /** Bytes with which each begins. */
    private const BEGINNINGS = ["\x1A\x45\xDF\xA3", 'OggS', self::WAV];

    private const WAV = 'RIFF';

    private const WAV_HEADER = 44;

    /** Of an MP4: what stands after the length of its first box. */
    private const MP4 = 'ftyp';

    private function __construct(public string $bytes, public string $mime)
    {
    }

    /** @throws NotKept */
    public static function of(string $bytes): self
    {
        if ($bytes === '') {
            throw new NotKept('The voice note is empty: nothing arrived. Record it again.');
        }
        $known = array_filter(self::BEGINNINGS, static fn (string $one): bool => str_starts_with($bytes, $one));
        if ($known === [] && substr($bytes, 4, 4) !== self::MP4) {
            $mime = (new \finfo(FILEINFO_MIME_TYPE))->buffer($bytes);
            throw new NotKept("This is no voice note (found: $mime). Possible: WebM, Ogg, MP4 or WAV sound.");
        }
        if (str_starts_with($bytes, self::WAV) && ! self::isWholeWav($bytes)) {
            throw new NotKept('The voice note ends too early: part of it is missing. Send it again.');
        }
        $info = self::analysed($bytes);
        $format = $info['fileformat'] ?? '';
        $format = is_string($format) ? $format : '';
        if (! in_array($format, self::FORMATS, true) || ! self::isSound($info)) {
            throw new NotKept('The voice note is damaged and cannot be played. Record it again.');
        }
        if (isset($info['video'])) {
            throw new NotKept('This is a film; a voice note is sound alone. Record it again.');
        }
        $lasts = is_numeric($info['playtime_seconds'] ?? null) ? (float) $info['playtime_seconds'] : 0.0;
        if ($lasts > self::LONGEST + self::LATE) {
            throw new NotKept(sprintf('The voice note lasts %.0f s; the limit is %.0f s.', $lasts, self::LONGEST));
        }

        return new self($bytes, self::MIMES[$format]);
    }

    /** A WAV says how long it is. */
    private static function isWholeWav(string $bytes): bool
    {
        $length = strlen($bytes) < self::WAV_HEADER ? false : unpack('V', substr($bytes, 4, 4));

        return $length !== false && strlen($bytes) >= $length[1] + 8;
    }

    /** @param  array<mixed>  $info */
    private static function isSound(array $info): bool
    {
        $audio = $info['audio'] ?? null;

        return is_array($audio) && is_string($audio['dataformat'] ?? null) && $audio['dataformat'] !== '';
    }

    /** @return array<mixed> */
    private static function analysed(string $bytes): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'sound');
        try {
            file_put_contents($file, $bytes);
            $reader = new \getID3();
            $reader->option_md5_data = false;
            $info = @$reader->analyze($file);
        } catch (\Throwable) {
            throw new NotKept('The voice note is damaged and cannot be played. Record it again.');
        } finally {
            @unlink($file);
        }

        return $info;
    }
}
