# frozen_string_literal: true

require "fileutils"
require "socket"
require "tmpdir"
require_relative "../boot/app"
require_relative "../desk/household_maker"
require_relative "../desk/acts/put_away"

# Signal 9 to the server and to PostgreSQL under load. Another process writes down every key the server
# acknowledged; afterwards each must be there exactly once, and stock must equal its movements.
class CrashDrill
  ROUNDS = 8
  STOCK = 1_000_000

  def initialize
    @cluster =
      NutShelf::Boot::Cluster.new(
        File
          .join(
            NutShelf::Boot::Cluster.default_folder,
            "..",
            "#{File.basename(NutShelf::Boot::Cluster.default_folder)}-drill"
          )
          .then { |path| File.expand_path(path) }
      )
    @log = File.join(Dir.mktmpdir("nut-shelf-drill"), "acknowledged")
    @chance = Random.new(7)
    @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
  end

  def run
    @cluster.start
    prepare
    assert_durable
    @server = start_server
    @client =
      client = spawn("bundle", "exec", "ruby", File.join(__dir__, "crash_client.rb"), @port.to_s, @lot.to_s, @log)
    ROUNDS.times { |round| strike(round) }
    pause(1.5)
    Process.kill("TERM", client)
    _, status = Process.wait2(client)
    @client = nil
    raise "The client gave up: #{status}" unless status.success?

    judge
  ensure
    end_process(@client)
    end_process(@server)
    @cluster.stop if @cluster.running?
  end

  private

  def prepare
    owner = @cluster.url("nut_shelf_drill")
    NutShelf::Store::Owner.drop(owner)
    @url = NutShelf::Boot::Wiring.migrated(owner)
    @services = NutShelf::Boot::Wiring.services(@url)
    account = @services.database.outside { |db| db[:accounts].insert(email: "drill@example.test", name: "Drill") }
    @household = NutShelf::Desk::HouseholdMaker.new(@services).make(account, { name: "Drill", time_zone: "UTC" })
    who = NutShelf::Desk::Caller.new(account_id: account, household_id: @household, role: "keeper")
    food, place =
      inside { |house| [house.foods.by_key(["canned-chickpeas"]).values.first[:id], house.places.all.first.id] }
    @lot =
      NutShelf::Desk::PutAway.new(@services, who).call(
        { food_id: food, place_id: place, count: STOCK.to_s, amount: "1", unit: "piece" },
        key: "drill-stock-key"
      )[
        "lot_id"
      ]
  end

  def inside = @services.database.within(@household) { |db| yield NutShelf::Store::House.new(db, @household), db }

  def assert_durable
    %w[fsync synchronous_commit full_page_writes].each do |name|
      value = @services.database.outside { |db| db.get(Sequel.function(:current_setting, name)) }
      raise "#{name} is #{value}: this drill would prove nothing" unless value == "on"

      puts "#{name}: #{value}"
    end
  end

  def start_server
    pid =
      spawn(
        { "NUT_SHELF_DRILL_URL" => @url },
        "bundle",
        "exec",
        "ruby",
        File.join(__dir__, "crash_server.rb"),
        @port.to_s,
        out: File::NULL,
        err: File::NULL
      )
    wait_for("the server") { TCPSocket.new("127.0.0.1", @port).close || true }
    pid
  end

  def strike(round)
    pause(0.8 + @chance.rand)
    if round.odd?
      puts "round #{round + 1}: signal 9 to PostgreSQL (#{acknowledged} acknowledged so far)"
      @cluster.kill
      wait_for("PostgreSQL to be gone") { !@cluster.running? }
      wait_for("PostgreSQL") { @cluster.start || true }
    else
      puts "round #{round + 1}: signal 9 to the server (#{acknowledged} acknowledged so far)"
      Process.kill("KILL", @server)
      Process.wait(@server)
      @server = start_server
    end
  end

  def acknowledged = File.file?(@log) ? File.foreach(@log).count : 0

  def judge
    @services.database.disconnect
    keys = File.readlines(@log, chomp: true)
    raise "Hardly anything was acknowledged (#{keys.size}): the load was no load" if keys.size < 100

    inside do |house, db|
      stored = db[:stored_requests].where(key: keys).exclude(answer: nil).select_map(:key)
      left = house.lots.one(@lot).on_hand.to_i
      check("every acknowledged key is stored", (keys - stored).size, 0)
      check("nothing counted twice or not at all", STOCK - left, keys.uniq.size)
      check("stacks out of balance", house.lots.out_of_balance.size, 0)
    end
    puts "Nothing acknowledged was lost: #{keys.size} takes, #{ROUNDS} kills."
  end

  def check(what, found, wanted)
    puts "#{what}: #{found} (wanted #{wanted})"
    raise "FAILED: #{what}" unless found == wanted
  end

  def end_process(pid)
    return unless pid

    Process.kill("KILL", pid)
    Process.wait(pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  def pause(seconds) = IO.select(nil, nil, nil, seconds)

  def wait_for(what, &block)
    limit = Process.clock_gettime(Process::CLOCK_MONOTONIC) + 60
    loop do
      return if attempt(&block)
      raise "#{what} did not come" if Process.clock_gettime(Process::CLOCK_MONOTONIC) > limit

      pause(0.2)
    end
  end

  def attempt
    yield
  rescue SystemCallError, NutShelf::Boot::Cluster::Failed
    false
  end
end

CrashDrill.new.run
