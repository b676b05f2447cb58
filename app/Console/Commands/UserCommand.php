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
        {email : address to sign in with}
        {--name= : as it stands in reports; the address where none is given}
        {--role= : lead or technician; the first person is a lead}';

    protected $description = 'Invite somebody, or make a new link for somebody who is known';

    public function handle(): int
    {
        $email = mb_strtolower($this->input->getArgument('email'));
        $usual = User::query()->exists() ? User::TECHNICIAN : User::LEAD;
        $role = $this->input->getOption('role') ?? $usual;
        if (Validator::make(['email' => $email], ['email' => 'required|email|max:200'])->fails()) {
            $this->error("\"$email\" is no e-mail address; one as name@workshop.example is wanted.");

            return self::INVALID;
        }
        if (! isset(User::ROLES[$role])) {
            $this->error("\"$role\" is no role; possible is ".implode(', ', array_keys(User::ROLES)).'.');

            return self::INVALID;
        }
        $known = User::query()->where('email', $email)->first();
        $user = $known ?? User::invite($this->input->getOption('name') ?? $email, $email, $role);
        $this->line(
            $known === null ? "• {$user->name}, {$user->role}" : "• {$user->name} is known; a new link:",
        );
        $this->line('  '.Invitation::to($user)->link());
        $this->line('  Within '.Invitation::DAYS.' days, once. Its address is that of APP_URL.');

        return self::SUCCESS;
    }
}
