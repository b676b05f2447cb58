<?php

namespace App\Console\Commands;

use App\Models\User;
use App\Records\Invitation;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;

/** Makes the first person of a workshop, or another; prints the link with which they choose a password. */
final class UserCommand extends Command
{
    protected $signature = 'metrum:user
        {email : e-mail address to sign in with}
        {--name= : name shown in reports; default: the address}
        {--role= : lead or technician; the first person is a lead}';

    protected $description = 'Invite someone, or create a new link for a known person';

    public function handle(): int
    {
        $email = mb_strtolower($this->input->getArgument('email'));
        $usual = User::query()->exists() ? User::TECHNICIAN : User::LEAD;
        $role = $this->input->getOption('role') ?? $usual;
        if (Validator::make(['email' => $email], ['email' => 'required|email|max:200'])->fails()) {
            $this->error("\"$email\" not an e-mail address; example: name@workshop.example");

            return self::INVALID;
        }
        if (! isset(User::ROLES[$role])) {
            $this->error("\"$role\" is not a role; allowed: ".implode(', ', array_keys(User::ROLES)).'.');

            return self::INVALID;
        }
        $known = User::query()->where('email', $email)->first();
        $user = $known ?? User::invite($this->input->getOption('name') ?? $email, $email, $role);
        $this->line(
            $known === null ? "• {$user->name}, {$user->role}" : "• {$user->name} exists already; new link:",
        );
        $this->line('  '.Invitation::to($user)->link());
        $this->line('  Link works once, within '.Invitation::DAYS.' days (address from APP_URL).');

        return self::SUCCESS;
    }
}
