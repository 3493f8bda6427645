# frozen_string_literal: true

require_relative "../boot/wiring"

# Whoever runs the house can see who knocks: the way out of a lockout that needs no waiting.
demo = ARGV.delete("--demo")
url = NutShelf::Boot::Wiring.prepare(demo ? "nut_shelf_demo" : "nut_shelf_house")
done =
  NutShelf::Store::Database
    .connect(url, connections: 1)
    .outside { |db| NutShelf::Store::Accounts.unlock(db, ARGV.fetch(0)) }
puts done ? "#{ARGV.first} may try again." : "There is nobody with that address here."
exit(done ? 0 : 1)
