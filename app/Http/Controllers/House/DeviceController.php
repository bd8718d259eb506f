<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Api\Body;
use App\Models\Device;
use App\Sharing\Certificate;
use App\Sharing\Pairing;
use App\Sharing\Share;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Voice\Message;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Tablets beside the mat: paired once by a code, listed, sent away. Codes are asked for and devices sent away at this machine alone. */
final class DeviceController
{
    private const PAIRED_DAYS = 365;

    public function index(Request $request): JsonResponse
    {
        /** @var list<Device> $devices */
        $devices = Share::through($request) ? [] : Device::query()->oldest('id')->get()->all();

        return new JsonResponse([
            'address' => Share::address(),
            'fingerprint' => Share::address() === '' ? '' : Share::fingerprint(),
            'isHere' => ! Share::through($request),
            'devices' => array_map(static fn (Device $d): array => [
                'id' => $d->id,
                'name' => $d->name,
                'pairedAt' => $d->paired_at->toIso8601String(),
                'seenAt' => $d->seen_at?->toIso8601String(),
            ], $devices),
        ]);
    }

    public function code(Request $request): JsonResponse
    {
        self::onlyHere($request);
        if (Share::address() === '') {
            throw new HttpException(422, (string) Message::of('house.device-controller.impa-answers-on-this'));
        }

        return new JsonResponse(Pairing::offer(), 201);
    }

    public function destroy(Request $request, Device $device): JsonResponse
    {
        self::onlyHere($request);
        $device->delete();

        return $this->index($request);
    }

    public function pair(Body $body): JsonResponse
    {
        $name = mb_substr(trim($body->text('name')), 0, 60);
        $pass = Pairing::take($body->text('code'), $name === '' ? (string) Message::of('house.device-controller.a-tablet') : $name);

        return (new JsonResponse(['paired' => true], 201))->withCookie(
            Cookie::create(
                Pairing::COOKIE,
                $pass,
                now()->addDays(self::PAIRED_DAYS),
                '/',
                null,
                true,
                true,
                false,
                Cookie::SAMESITE_STRICT,
            ),
        );
    }

    /** What a tablet is told to trust, so that it keeps the pages for work without the network. */
    public function authority(): Response
    {
        $pem = @file_get_contents(Certificate::path('authority.pem'));
        abort_if($pem === false, 404);

        return new Response($pem, 200, [
            'Content-Type' => 'application/x-x509-ca-cert',
            'Content-Disposition' => 'attachment; filename="impa-authority.crt"',
        ]);
    }

    private static function onlyHere(Request $request): void
    {
        if (Share::through($request)) {
            throw new HttpException(403, (string) Message::of('house.refused.not-on-device'));
        }
    }
}
