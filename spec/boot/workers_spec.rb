# frozen_string_literal: true

require "spec_helper"
require_relative "../../boot/workers"

# Jobs the specs give a worker. They are made before any worker is, so that it knows them.
module WorkerJobs
  Value = NutShelf::Core::Value
  Sum = Value.of(:times) { def call(shared) = shared.sum * times }
  Counting = Value.of(:to) { def call(_shared, &block) = (1..to).each(&block).last }
  Pid = Value.of { def call(_shared) = Process.pid }
  Endless = Value.of { def call(_shared) = loop { yield :still } }
  Silent = Value.of { def call(_shared) = loop { Process.clock_gettime(Process::CLOCK_MONOTONIC) } }
  Dying = Value.of { def call(_shared) = Process.kill(:KILL, Process.pid) && loop { nil } }
  Raising = Value.of { def call(_shared) = raise("no such dish") }
  Big = Value.of(:size) { def call(_shared) = "x" * size }
end

RSpec.describe NutShelf::Boot::Workers do
  work = NutShelf::Core::Work
  nursery = nil
  before(:all) { nursery = described_class::Nursery.start }
  after(:all) { nursery.stop }

  let(:workers) { described_class.new(nursery.door, most: 1, queue: 1) }
  let(:shared) { work::Shared.new(key: [7, 1], value: [1, 2, 3].freeze) }

  after { workers.close }

  # A thread whose error is somebody's to read, and not the log's.
  def quietly(&) = Thread.new(&).tap { |thread| thread.report_on_exception = false }

  def pid = workers.ask(WorkerJobs::Pid.new, shared)

  # Other processes of the machine come and go while these are read.
  def told(path)
    File.read(path)
  rescue Errno::ENOENT, Errno::ESRCH
    ""
  end

  def names(path) = told("#{path}/cmdline")[0, 40].to_s.tr("\0", " ")

  def parent(path) = told("#{path}/status")[/^PPid:\s+(\d+)/, 1].to_i

  def alive?(pid)
    Process.kill(0, pid)
    true
  rescue Errno::ESRCH
    false
  end

  it "does a job elsewhere, with what many jobs share, and keeps that for the next" do
    expect(workers.ask(WorkerJobs::Sum.new(times: 2), shared)).to eq(12)
    expect(pid).not_to eq(Process.pid)
    poisoned = work::Shared.new(key: [7, 1], value: -> { "cannot be sent" })
    expect(workers.ask(WorkerJobs::Sum.new(times: 3), poisoned)).to eq(18)
    expect(workers.ask(WorkerJobs::Sum.new(times: 1), work::Shared.new(key: [7, 2], value: [9].freeze))).to eq(9)
  end

  it "sends anew what a worker has let go of" do
    shelves = Array.new(described_class::Worker::KEEPS + 1) { |number| work::Shared.new(key: number, value: [number]) }
    2.times { shelves.each { |one| expect(workers.ask(WorkerJobs::Sum.new(times: 1), one)).to eq(one.value.first) } }
  end

  it "hands on answers as they get better, and the last" do
    seen = []
    expect(workers.ask(WorkerJobs::Counting.new(to: 4), shared) { |number| seen << number }).to eq(4)
    expect(seen).to eq([1, 2, 3, 4])
    expect(workers.ask(WorkerJobs::Counting.new(to: 4), shared)).to eq(4)
  end

  it "carries large answers whole" do
    expect(workers.ask(WorkerJobs::Big.new(size: 5_000_000), shared).bytesize).to eq(5_000_000)
  end

  it "says so when a worker dies in the middle, and has another at once" do
    first = pid
    expect { workers.ask(WorkerJobs::Dying.new, shared) }.to raise_error(work::Gone)
    expect(pid).not_to eq(first)
    expect(workers.ask(WorkerJobs::Sum.new(times: 2), shared)).to eq(12)
  end

  it "outlives a worker that is killed from outside while it works" do
    victim = pid
    thread = quietly { workers.ask(WorkerJobs::Endless.new, shared) { Process.kill(:KILL, victim) } }
    expect { thread.value }.to raise_error(work::Gone)
    expect(workers.ask(WorkerJobs::Sum.new(times: 2), shared)).to eq(12)
  end

  it "ends a job that takes too long, and the worker with it" do
    slow = pid
    expect { workers.ask(WorkerJobs::Silent.new, shared, seconds: 0.2) }.to raise_error(work::TimedOut)
    expect { workers.ask(WorkerJobs::Endless.new, shared, seconds: 0.2) { nil } }.to raise_error(work::TimedOut)
    expect(pid).not_to eq(slow)
  end

  it "ends a job nobody wants any more" do
    asked = 0
    expect do
      workers.ask(WorkerJobs::Endless.new, shared, cancel: lambda {
        (asked += 1) > 3
      }) { nil }
    end.to raise_error(work::Cancelled)
    expect { workers.ask(WorkerJobs::Silent.new, shared, cancel: -> { true }) }.to raise_error(work::Cancelled)
    expect(workers.ask(WorkerJobs::Sum.new(times: 2), shared)).to eq(12)
  end

  it "passes on what a job says against it, and goes on with the same worker" do
    same = pid
    expect { workers.ask(WorkerJobs::Raising.new, shared) }.to raise_error(work::Failed, /no such dish/)
    expect(pid).to eq(same)
  end

  it "lets so many wait, and sends the next away" do
    begun = Queue.new
    done = Queue.new
    first = quietly { workers.ask(WorkerJobs::Endless.new, shared, cancel: -> { !done.empty? }) { begun << 1 } }
    begun.pop
    second = Thread.new { workers.ask(WorkerJobs::Sum.new(times: 2), shared) }
    Thread.pass until second.stop?
    expect { workers.ask(WorkerJobs::Sum.new(times: 2), shared) }.to raise_error(work::Busy)
    done << 1
    expect { first.value }.to raise_error(work::Cancelled)
    expect(second.value).to eq(12)
  end

  it "sends whoever cannot be served in time away" do
    begun = Queue.new
    done = Queue.new
    first = quietly { workers.ask(WorkerJobs::Endless.new, shared, cancel: -> { !done.empty? }) { begun << 1 } }
    begun.pop
    expect { workers.ask(WorkerJobs::Sum.new(times: 2), shared, seconds: 0.1) }.to raise_error(work::Busy)
    done << 1
    expect { first.value }.to raise_error(work::Cancelled)
  end

  it "is no child of whoever started it, who may wait for all of those" do
    parents = Dir["/proc/[0-9]*"].select do |path|
      names(path).start_with?("nut shelf: nursery")
    end.map { |path| parent(path) }
    expect(parents).not_to be_empty
    expect(parents).not_to include(Process.pid)
  end

  it "says so when nobody opens" do
    expect { described_class.new("/nowhere/door").ask(WorkerJobs::Pid.new, shared) }.to raise_error(work::Gone)
  end

  it "ends its workers when it ends" do
    other = described_class::Nursery.start
    line = described_class.new(other.door)
    worker = line.ask(WorkerJobs::Pid.new, shared)
    line.close
    other.stop
    Thread.pass while alive?(worker)
    expect(File.exist?(other.door)).to be(false)
  end
end
