# frozen_string_literal: true

require "spec_helper"
require_relative "../../boot/watch"

RSpec.describe NutShelf::Boot::Watch do
  # A server that is up or down, and may refuse to start.
  def cluster(running:, fails: false)
    Class
      .new do
        define_method(:running?) { @up.nil? ? running : @up }
        define_method(:start) { fails ? raise(NutShelf::Boot::Cluster::Failed, "no space left on device") : @up = true }
      end
      .new
  end

  let(:said) { [] }

  def watch(cluster)
    described_class.new(cluster, pause: ->(_) { raise StopIteration if said.size > 1 }, say: ->(text) { said << text })
  end

  it "starts a server that died, once" do
    one = watch(cluster(running: false))
    expect([one.look, one.look]).to eq([true, false])
    expect(said).to eq(["The database had stopped and was started again."])
  end

  it "says why it does not start, and tries again" do
    watch(cluster(running: false, fails: true)).run
    expect(said).to all(include("no space left on device"))
    expect(said.size).to eq(2)
  end
end
