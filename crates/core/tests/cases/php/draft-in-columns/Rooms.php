<?php

class Rooms
{
    /**
     * Books a room.
     *
     * @param string           $room   the room
     * @param int              $nights for how long
     * @param \Vine\Guest|null $guest  who comes
     * @param array<string>    $wishes what is wished for
     */
    public function book(string $room, int $nights, ?\Vine\Guest $guest, array $wishes)
    {
    }

    /**
     * Frees a room.
     *
     * @param string $room  the room
     * @param bool   $early before its time
     */
    public function free(string $room, bool $early)
    {
    }

    public function price(string $room, int $nights, ?\Vine\Guest $guest): float
    {
        return 1.0;
    }
}
