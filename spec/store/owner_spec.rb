# frozen_string_literal: true

require "open3"
require "tmpdir"
require_relative "../support/house"

RSpec.describe NutShelf::Store::Owner do
  let(:url) { NutShelf::Boot::Wiring.scratch_url("nut_shelf_owner_#{SecureRandom.hex(4)}") }
  let(:maintenance) { URI.parse(url).tap { |uri| uri.path = "/postgres" }.to_s }

  after { described_class.drop(url) }

  # SELECT count(*) FROM pg_locks WHERE locktype = 'advisory' AND NOT granted
  def until_somebody_waits(db)
    Timeout.timeout(20) { Thread.pass until db[:pg_locks].where(locktype: "advisory", granted: false).any? }
  end

  it "prepares one at a time on a server: roles and databases are everybody's" do
    Sequel.connect(maintenance, max_connections: 1) do |db|
      db.fetch("SELECT pg_advisory_lock(?)", described_class::LOCK).all
      other = Thread.new { NutShelf::Boot::Wiring.migrated(url) }
      until_somebody_waits(db)
      expect(db[:pg_database].first(datname: described_class.name_of(url))).to be_nil
      db.fetch("SELECT pg_advisory_unlock(?)", described_class::LOCK).all
      expect(other.value).to include(described_class::APP_ROLE)
      expect(db[:pg_database].first(datname: described_class.name_of(url))).not_to be_nil
    end
  end

  # An instance of another folder keeps secrets of its own.
  def prepare_elsewhere(folder)
    script = "puts NutShelf::Boot::Wiring.migrated(ENV.fetch('DATABASE_URL'))"
    env = { "DATABASE_URL" => url, "NUT_SHELF_LOCAL" => folder }
    output, status = Open3.capture2e(env, RbConfig.ruby, "-r./boot/wiring", "-e", script,
      chdir: NutShelf::Boot::Settings::ROOT)
    raise output unless status.success?
  end

  it "locks no other instance on the same server out" do
    mine = NutShelf::Boot::Wiring.migrated(url)
    Dir.mktmpdir { |folder| prepare_elsewhere(folder) }
    Sequel.connect(mine, max_connections: 1) { |db| expect(db.get(1)).to eq(1) }
    expect(mine).not_to include(URI.parse(url).password)
  end

  it "keeps the first of two secrets made at once" do
    name = "spec-#{SecureRandom.hex(6)}"
    expect(Array.new(8) { Thread.new { NutShelf::Boot::Settings.secret(name) } }.map(&:value).uniq.size).to eq(1)
    files = Dir[File.join(NutShelf::Boot::Settings::LOCAL, "secrets", "#{name}*")]
    expect(files.size).to eq(1)
    expect(File.stat(files.first).mode & 0o777).to eq(0o600)
    FileUtils.rm_f(files)
  end
end
