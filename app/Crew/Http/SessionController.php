<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Do\Secrets;
use App\Crew\Model\Person;
use App\Crew\Show\View\Me;
use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Fleet;
use App\Library\Model\CardTemplate;
use App\Library\Model\Import;
use App\Shared\Clock;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\View\Said;
use App\Visits\Model\Visit;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Signing in and out. */
final class SessionController
{
    #[Api('signIn', Me::class, 'Signed in')]
    public function store(SignInRequest $request, Records $records, Clock $clock): JsonResponse
    {
        $given = $request->validated();
        if (! $request->hasSession()) {
            throw Refused::because('Sign in from the application\'s own page; a script uses a token instead.');
        }
        if (! self::session()->attempt(['login' => mb_strtolower($given['login']), 'password' => $given['password']])) {
            logger()->warning(
                'sign-in refused',
                ['login' => mb_substr($given['login'], 0, 60), 'from' => $request->ip()],
            );
            throw ValidationException::withMessages(['login' => 'Name or password is wrong.']);
        }
        $person = self::session()->user();
        assert($person instanceof Person);
        if ($person->goneOn($clock->today())) {
            self::session()->logout();
            throw ValidationException::withMessages(['login' => 'Name or password is wrong.']);
        }
        $request->session()->regenerate();
        $records->write($person, 'person.signed_in', "person:{$person->id}");

        return new JsonResponse(self::me($person));
    }

    #[Api('me', Me::class, 'Who is signed in')]
    public function show(ViewRequest $request): JsonResponse
    {
        return new JsonResponse(self::me($request->person()));
    }

    #[Api('chooseSecrets', Me::class, 'Chosen')]
    public function choose(SecretsRequest $request, Secrets $secrets): JsonResponse
    {
        $secrets->choose(
            $request->person(),
            $request->string('now')->value(),
            $request->filled('password') ? $request->string('password')->value() : null,
            $request->filled('pin') ? $request->string('pin')->value() : null,
            $request->filled('code') ? trim($request->string('code')->value()) : null,
        );

        return new JsonResponse(self::me($request->person()));
    }

    #[Api('signOut', Said::class, 'Signed out')]
    public function destroy(Request $request): JsonResponse
    {
        if ($request->hasSession()) {
            self::session()->logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();
        }

        return new JsonResponse(new Said('You are signed out.'));
    }

    /** The guard of the browser's session, whichever one let the request in. */
    private static function session(): StatefulGuard
    {
        $guard = Auth::guard('web');
        assert($guard instanceof StatefulGuard);

        return $guard;
    }

    private static function me(Person $p): Me
    {
        $may = array_keys(array_filter([
            'bring' => $p->can('bring', Import::class), 'write' => $p->can('write', CardTemplate::class),
            'plan' => $p->can('plan', Visit::class),
            'edit' => $p->can('edit', Fleet::class), 'read' => $p->can('read', Fleet::class),
            'defer' => $p->can('defer', Deferral::class), 'release' => $p->can('release', Visit::class),
        ]));

        return new Me(
            $p->id,
            $p->name,
            $p->login,
            $p->stamp,
            $p->role->value,
            $p->base,
            $p->own_password,
            $p->own_pin,
            $may,
        );
    }
}
