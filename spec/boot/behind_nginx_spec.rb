# frozen_string_literal: true

require "date"
require "tmpdir"
require_relative "../support/house"
require_relative "../support/behind_nginx"
require_relative "../../boot/nightly"

# The house as docs/at-home.md has it run for good.
RSpec.describe "At home" do
  def scratch(name)
    url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_#{name}")
    NutShelf::Store::Owner.drop(url)
    url
  end

  first = {
    household: "Pantry", name: "Ada", email: "ada@example.test", password: "a long password", time_zone: "UTC",
    currency: "EUR", day_order: "dmy", people: 2
  }

  # A browser's cookie and token, as it goes.
  def with_token(house, cookie = nil)
    answer = house.ask("/api/session", { "cookie" => cookie }.compact)
    cookie = answer["set-cookie"]&.split(";")&.first || cookie
    { "cookie" => cookie, "x-csrf-token" => JSON.parse(answer.body)["csrf"], "idempotency-key" => key! }
  end

  it "is served by two behind nginx over TLS, one database and one session, and comes back from last night's backup" do
    skip "There is no nginx here, and bin/test could not fetch Debian's." unless BehindNginx.possible?
    Dir.mktmpdir do |folder|
      house = BehindNginx.new(folder, scratch("behind")).start
      made = house.tell("/api/first-start", first, with_token(house))
      expect([made.code, made["set-cookie"]]).to match(["200", /; secure/])
      headers = with_token(house, made["set-cookie"].split(";").first)
      served = Array.new(6) { house.ask("/api/places", headers) }
      expect(served.map(&:code).uniq).to eq(["200"])
      expect(served.map { |one| one["x-served-by"] }.uniq.size).to eq(2)
      house.end_one
      expect(Array.new(4) { house.ask("/api/places", headers).code }).to all(eq("200"))
      expect(house.run("bin/_backup.rb", "--into", File.join(folder, "nights"))).to include("with its digest beside it")
      last = NutShelf::Boot::Nightly.new(File.join(folder, "nights"), keep: 1).all.first
      expect(File.read("#{last}.sha256")).to start_with(Digest::SHA256.file(last).hexdigest)
      restored = house.run("bin/_backup.rb", "restore", last, database: scratch("behind_again"))
      expect(restored).to include("the same, byte for byte", "Ada (ada@example.test): /join#")
    ensure
      house&.stop
    end
  end

  describe NutShelf::Boot::Nightly do
    it "keeps the latest, each with its digest, and nothing half written" do
      Dir.mktmpdir do |folder|
        nights = described_class.new(folder, keep: 2)
        File.write(File.join(folder, "notes.json"), "mine")
        days = Array.new(3) { |number| Date.new(2026, 11, 22) + number }
        days.each { |day| nights.write("{\"day\":\"#{day}\"}", day) }
        kept = %w[nut-shelf-2026-11-23.json nut-shelf-2026-11-24.json]
        expect(Dir.children(folder).sort).to eq(["notes.json", *kept.flat_map { |name| [name, "#{name}.sha256"] }].sort)
        expect(File.read(nights.all.first)).to eq("{\"day\":\"2026-11-24\"}")
      end
    end

    it "will not keep none" do
      expect { described_class.new("anywhere", keep: 0) }.to raise_error(ArgumentError)
    end
  end
end
