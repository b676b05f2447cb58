<?php

namespace App\Http\Requests;

use App\Models\Attachment;
use App\Records\Attachments\PhotoMark;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** Caption, marks and pair of a photo or voice note. */
final class AttachmentChange extends FormRequest
{
    private const MOST_MARKS = 30;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'caption' => ['nullable', 'string', 'max:240'],
            'marks' => ['nullable', 'string', 'max:20000', self::isMarks(...)],
            'after' => ['nullable', 'string', 'max:26', $this->isBefore(...)],
        ];
    }

    /** @param  Closure(string): mixed  $fail */
    private static function isMarks(string $key, mixed $typed, Closure $fail): void
    {
        if (self::marks((string) $typed) === null) {
            $fail('The marks cannot be read. Draw them again; at most '.self::MOST_MARKS.' fit on a photo.');
        }
    }

    /** @param  Closure(string): mixed  $fail */
    private function isBefore(string $key, mixed $typed, Closure $fail): void
    {
        $before = Attachment::shown()->whereKey($typed)->first();
        $own = $this->attachment();
        $isOfPlant = $before !== null &&
            $before->isPhoto() &&
            $before->visit->circuit->plant_id === $own->visit->circuit->plant_id;
        if (! $isOfPlant || $before->id === $own->id) {
            $fail('No such photo of this system. Choose one that was taken before.');
        }
    }

    public function attachment(): Attachment
    {
        $attachment = $this->route('attachment');
        assert($attachment instanceof Attachment);

        return $attachment;
    }

    /** @return ?list<array<string, float|string>> null: unreadable */
    private static function marks(string $typed): ?array
    {
        $told = json_decode($typed, true);
        if (! is_array($told) || ! str_starts_with(ltrim($typed), '[') || count($told) > self::MOST_MARKS) {
            return null;
        }
        $marks = array_filter(array_map(PhotoMark::from(...), $told));

        return count($marks) < count($told)
            ? null
            : array_map(static fn (PhotoMark $one): array => $one->toArray(), array_values($marks));
    }

    /** @return array<string, mixed> the columns that are changed */
    public function changed(): array
    {
        $changed = [];
        if ($this->has('caption')) {
            $changed['caption'] = (string) $this->validated('caption');
        }
        if ($this->has('marks')) {
            $changed['marks'] = self::marks((string) $this->validated('marks'));
        }
        if ($this->has('after')) {
            $changed['after'] = $this->validated('after');
        }

        return $changed;
    }
}
